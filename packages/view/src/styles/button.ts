/** A button on a card. */
export const button = `
  :where(.ivy-more-of) {
    margin: 6px 0 0;
  }
  :where(.ivy-read) {
    display: inline-block;
    padding: 6px 14px;
    border: var(--i-border) solid var(--i-line);
    border-radius: var(--i-radius);
    color: inherit;
    font-weight: 600;
    text-decoration: none;
  }
  :where(.ivy-read:hover, .ivy-card:hover span.ivy-read) {
    background: var(--i-soft);
  }
`;

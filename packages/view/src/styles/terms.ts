/** Terms of a post as small labels. */
export const terms = `
  :where(.ivy-terms) {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
    margin-top: 4px;
  }
  :where(.ivy-terms li) {
    padding: 1px 8px;
    border: 1px solid var(--i-rule);
    border-radius: 5px;
    background: var(--i-soft);
    font-size: 0.85em;
    color: var(--i-ink-2);
  }
  :where(.ivy-terms a) {
    position: relative;
    z-index: 1;
    color: inherit;
  }
`;

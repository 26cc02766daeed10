/** Words over the pictures of a card. */
export const badges = `
  :where(.ivy-badges) {
    position: absolute;
    inset-block-start: 8px;
    inset-inline-start: 8px;
    display: flex;
    flex-wrap: wrap;
    gap: 4px;
    max-width: calc(100% - 60px);
    margin: 0;
    pointer-events: none;
  }
  :where(.ivy-badges span) {
    padding: 2px 10px;
    border-radius: 12px;
    background: var(--i-page);
    font-size: 0.85em;
    font-weight: 600;
  }
  :where(.ivy-card:not(:has(> .ivy-picture)) > .ivy-badges) {
    position: static;
    margin-bottom: 6px;
  }
`;

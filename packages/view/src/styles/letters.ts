/** A board of letters. */
export const letters = `
  :where(.ivy-buttons[data-as='letters']) {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(36px, 1fr));
    gap: 6px;
  }
  :where(.ivy-buttons[data-as='letters'] .ivy-link) {
    flex-direction: column;
    justify-content: center;
    gap: 0;
    min-width: 0;
    min-height: 42px;
    padding: 3px 1px;
    border: var(--i-border) solid var(--i-line);
    border-radius: calc(var(--i-radius) / 2);
    line-height: 1.15;
    font-weight: 650;
    text-decoration: none;
  }
  :where(.ivy-buttons[data-as='letters'] .ivy-link:hover) {
    background: var(--i-soft);
  }
  :where(.ivy-buttons[data-as='letters'] .ivy-link[data-long='true']) {
    font-size: 0.8em;
  }
  :where(.ivy-buttons[data-as='letters'] .ivy-muted) {
    border-color: transparent;
    font-weight: 400;
  }
  :where(.ivy-buttons[data-as='letters'] .ivy-count) {
    font-size: 12px;
    font-weight: 400;
    color: var(--i-ink-2);
    font-variant-numeric: tabular-nums;
  }
  :where(.ivy-buttons[data-as='letters'] .ivy-link[aria-current='true']) {
    background: var(--i-accent);
    border-color: var(--i-accent);
  }
  :where(
    .ivy-frame .ivy-buttons[data-as='letters'] .ivy-link[aria-current='true'],
    .ivy-frame .ivy-buttons[data-as='letters'] .ivy-link[aria-current='true'] .ivy-count
  ) {
    color: var(--i-on-accent);
  }
  @media (forced-colors: active) {
    :where(.ivy-buttons[data-as='letters'] .ivy-link[aria-current='true']) {
      outline: 2px solid Highlight;
    }
  }
  :where(.ivy-frame[data-facets='top'] .ivy-facet[data-kind='letters']) {
    grid-column: 1/-1;
  }
`;

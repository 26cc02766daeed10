/** Two ends to set, under a picture of where the posts are. */
export const ranges = `
  :where(.ivy-slider) {
    position: relative;
    height: 28px;
    margin: -15px -9px 8px;
  }
  @media (pointer: coarse) {
    :where(.ivy-slider) {
      height: 44px;
      margin: -23px -9px 4px;
    }
  }
  :where(.ivy-track) {
    position: absolute;
    inset-inline: 9px;
    top: calc(50% - 1.5px);
    height: 3px;
    border-radius: 2px;
    background: var(--i-rule);
  }
  :where(.ivy-track)::after {
    content: '';
    position: absolute;
    inset-block: 0;
    inset-inline: var(--ivy-low) calc(100% - var(--ivy-high));
    background: var(--i-accent);
  }
  :where(.ivy-histogram) {
    display: flex;
    align-items: end;
    gap: 2px;
    height: 46px;
    margin-bottom: 8px;
    border-bottom: 1px solid var(--i-line);
  }
  :where(.ivy-histogram span) {
    flex: 1;
    background: var(--i-rule);
    border-radius: 1px 1px 0 0;
  }
  :where(.ivy-histogram .ivy-bar-in) {
    background: var(--i-accent);
  }
  :where(.ivy-ends) {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 8px;
  }
  :where(.ivy-end) {
    display: grid;
    gap: 3px;
    min-width: 0;
    position: relative;
  }
  :where(.ivy-end label) {
    display: grid;
    gap: 3px;
  }
  :where(.ivy-end [aria-invalid='true']) {
    border-color: #b3261e;
    box-shadow: 0 0 0 1px #b3261e;
  }
  :where(.ivy-end [inputmode='numeric']) {
    padding-inline: 8px 28px;
    font-size: 0.9em;
    font-variant-numeric: tabular-nums;
  }
  :where(.ivy-calendar) {
    position: absolute;
    inset-block-end: 0;
    inset-inline-end: 0;
    width: 28px;
    height: 38px;
    padding: 0;
    border: 0;
    background: none;
    cursor: pointer;
    display: grid;
    place-items: center;
  }
  @media (pointer: coarse) {
    :where(.ivy-calendar) {
      width: 44px;
      height: 44px;
    }
  }
  :where(.ivy-calendar span) {
    width: 14px;
    height: 13px;
    border: 1.5px solid currentColor;
    border-top-width: 4px;
    border-radius: 2px;
    color: var(--i-ink-2);
  }
  :where(.ivy-picker) {
    position: absolute;
    inset-block-end: 0;
    inset-inline-end: 0;
    width: 1px;
    height: 1px;
    padding: 0;
    border: 0;
    opacity: 0;
    pointer-events: none;
  }
  :where(.ivy-end span) {
    font-size: 0.85em;
    color: var(--i-ink-2);
  }
`;

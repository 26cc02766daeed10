/** Lists that are chosen from step by step. */
export const steps = `
  :where(.ivy-steps) {
    display: flex;
    flex-wrap: wrap;
    gap: 12px 18px;
  }
  :where(.ivy-step-list) {
    flex: 1 1 170px;
    min-width: 0;
  }
  :where(:where(.ivy-frame, .ivy-part) .ivy-step-title) {
    margin: 0 0 4px;
    font-size: 0.85em;
    color: var(--i-ink-2);
  }
  :where(.ivy-step-options) {
    max-height: 236px;
    overflow: auto;
    padding: 3px;
    border: var(--i-border) solid var(--i-line);
    border-radius: var(--i-radius);
  }
  :where(.ivy-step) {
    position: relative;
    display: flex;
    gap: 8px;
    align-items: center;
    min-height: 30px;
    padding: 2px 8px;
    border-radius: calc(var(--i-radius) - 3px);
    cursor: pointer;
  }
  @media (pointer: coarse) {
    :where(.ivy-step) {
      min-height: 44px;
    }
  }
  :where(.ivy-step:hover) {
    background: var(--i-soft);
  }
  :where(.ivy-step .ivy-count) {
    color: var(--i-ink-2);
    font-variant-numeric: tabular-nums;
  }
  :where(.ivy-step[data-chosen='true']) {
    background: var(--i-accent);
    font-weight: 650;
  }
  :where(.ivy-frame .ivy-step[data-chosen='true'], .ivy-frame .ivy-step[data-chosen='true'] .ivy-count) {
    color: var(--i-on-accent);
  }
  :where(.ivy-step[data-any='true'][data-chosen='true']) {
    background: var(--i-soft);
  }
  :where(.ivy-frame .ivy-step[data-any='true'][data-chosen='true']) {
    color: inherit;
  }
  :where(.ivy-step:has(:focus-visible)) {
    outline: 2px solid var(--i-accent);
    outline-offset: 1px;
  }
  :where(.ivy-step[data-leads='true'])::after {
    content: '';
    flex: none;
    width: 6px;
    height: 6px;
    border: solid currentColor;
    border-width: 2px 2px 0 0;
    transform: rotate(45deg);
  }
  :where([dir='rtl'] .ivy-step[data-leads='true'])::after {
    transform: rotate(-135deg);
  }
  @media (forced-colors: active) {
    :where(.ivy-step[data-chosen='true']) {
      outline: 2px solid Highlight;
      outline-offset: -2px;
    }
  }
  :where(.ivy-frame[data-plain] .ivy-select + .ivy-select) {
    margin-top: 8px;
  }
  :where(.ivy-frame[data-facets='top'] .ivy-facet[data-kind='steps']) {
    grid-column: 1/-1;
  }
`;

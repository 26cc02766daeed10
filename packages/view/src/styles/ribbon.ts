/** A ribbon in the corner of a card, which marks it. */
export const ribbon = `
  :where(.ivy-ribbon) {
    position: absolute;
    z-index: 1;
    inset-block-start: 6px;
    inset-inline-end: 6px;
    width: 36px;
    height: 36px;
    padding: 0;
    border: 0;
    border-radius: 50%;
    background: var(--i-page);
    display: grid;
    place-items: center;
    cursor: pointer;
    opacity: 0.92;
  }
  @media (pointer: coarse) {
    :where(.ivy-ribbon) {
      width: 44px;
      height: 44px;
    }
  }
  :where(.ivy-ribbon span) {
    width: 12px;
    height: 16px;
    background: var(--i-line);
    clip-path: polygon(
      0 0,
      100% 0,
      100% 100%,
      50% 74%,
      0 100%,
      0 0,
      2px 2px,
      2px 82%,
      50% 60%,
      calc(100% - 2px) 82%,
      calc(100% - 2px) 2px,
      2px 2px
    );
  }
  :where(.ivy-ribbon[aria-pressed='true'] span) {
    background: var(--i-accent);
    clip-path: polygon(0 0, 100% 0, 100% 100%, 50% 74%, 0 100%);
  }
  @media (forced-colors: active) {
    :where(.ivy-ribbon) {
      border: 1px solid;
    }
    :where(.ivy-ribbon span) {
      background: ButtonText;
      forced-color-adjust: none;
    }
  }
  /* without a picture the ribbon stands beside the words, and takes room of its own */
  :where(.ivy-card:has(> .ivy-ribbon):not(:has(> .ivy-picture)) > .ivy-card-text) {
    padding-inline-end: 44px;
  }
`;

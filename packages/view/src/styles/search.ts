/** A box to search in. */
export const search = `
  :where(.ivy-search) {
    position: relative;
  }
  :where(.ivy-search .ivy-input) {
    padding-inline-end: 38px;
  }
  :where(.ivy-search .ivy-input)::-webkit-search-cancel-button {
    display: none;
  }
  :where(.ivy-search-clear) {
    position: absolute;
    inset-block: 0;
    inset-inline-end: 0;
    width: 38px;
    border: 0;
    background: none;
    cursor: pointer;
    display: grid;
    place-items: center;
  }
`;

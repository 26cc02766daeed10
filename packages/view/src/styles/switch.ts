/** A box that is a switch. */
export const switches = `
  :where(.ivy-tick .ivy-switch) {
    width: 36px;
    height: 20px;
    border-radius: 10px;
    justify-content: start;
    padding: 2px;
  }
  :where(.ivy-tick .ivy-switch)::before {
    content: '';
    width: 13px;
    height: 13px;
    border: 0;
    border-radius: 50%;
    background: var(--i-line);
    transform: none;
  }
  :where(.ivy-tick .ivy-switch:checked) {
    justify-content: end;
  }
  :where(.ivy-tick .ivy-switch:checked)::before {
    width: 13px;
    height: 13px;
    border: 0;
    background: var(--i-on-accent);
    transform: none;
  }
`;

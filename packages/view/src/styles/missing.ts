/** What stands in the place of a picture that a post has not, or that can’t be loaded: hills and a sun, drawn quietly. */
export const missing = `
  :where(.ivy-picture[data-missing]) {
    display: grid;
    place-items: center;
  }
  :where(.ivy-picture[data-missing] img) {
    display: none;
  }
  :where(.ivy-picture[data-missing])::before {
    content: '';
    width: 28%;
    aspect-ratio: 3/2;
    background: var(--i-line);
    opacity: 0.55;
    mask: url("data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 48 32'%3E%3Cpath d='M2 28l14-16 9 10 6-6 15 12zM37 3a5 5 0 1 1 0 10 5 5 0 0 1 0-10z'/%3E%3C/svg%3E")
      center / contain no-repeat;
  }
`;

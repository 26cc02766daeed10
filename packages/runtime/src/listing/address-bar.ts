/** Where the address of a listing stands. */
export interface AddressBar {
  /** The query string. */
  readonly search: string;
  write(address: string, how: 'push' | 'replace'): void;
  /** Hears when a visitor goes back or forward; what it returns ends that. */
  watch(onGone: () => void): () => void;
}

/** The address of the page. */
export const pageBar: AddressBar = {
  get search() {
    return location.search.slice(1);
  },
  write(address, how) {
    const url = `${location.pathname}${address && `?${address}`}${location.hash}`;
    if (how === 'push') history.pushState(history.state, '', url);
    else history.replaceState(history.state, '', url);
  },
  watch(onGone) {
    addEventListener('popstate', onGone);
    return () => removeEventListener('popstate', onGone);
  },
};

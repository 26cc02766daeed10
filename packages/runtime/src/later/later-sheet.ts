/** The rules of `later/styles/`. The build puts them here; tests without a browser need none. */
export const sheet: string = '';

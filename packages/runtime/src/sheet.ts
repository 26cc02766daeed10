/** The rules of `styles/`, in the order of the files' names. The build puts them here; tests without a browser need none. */
export const sheet: string = '';

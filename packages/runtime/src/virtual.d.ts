declare module 'virtual:sheet' {
  /** The rules of `styles/`, in the order of the files' names, without a blank that could go. */
  const sheet: string;
  export default sheet;
}

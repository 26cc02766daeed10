/** What one file may hold. Beyond any of these it is refused, with the number in the words. */
export const limits = {
  bytes: 64 * 1024 * 1024,
  records: 1_000_000,
  fields: 300,
  /** How deep JSON may nest. */
  depth: 40,
};

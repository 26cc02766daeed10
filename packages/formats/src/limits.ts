/** What one file may hold. Beyond any of these it is refused, with the number in the words. */
export const limits = {
  bytes: 100 * 1024 * 1024,
  records: 1_000_000,
  fields: 500,
  /** How deep JSON, XML, HTML and YAML may nest. */
  depth: 32,
  /** Characters of one cell. */
  cell: 16 * 1024 * 1024,
  /** Files in a packed one, bytes of them all together, and how many times larger than packed they may be. */
  packedFiles: 20_000,
  unpackedBytes: 400 * 1024 * 1024,
  packedRatio: 200,
};

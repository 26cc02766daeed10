const halves = /[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g;

/** A text with U+FFFD in place of each half of a surrogate pair, which has no UTF-8 form: as in the URL standard. */
export function wellFormed(text: string): string {
  return text.replace(halves, '\ufffd');
}

/** A text without what no database keeps: null characters go, and half a surrogate pair becomes U+FFFD. */
export function cleanText(text: string): string {
  return wellFormed(text.replaceAll('\u0000', ''));
}

/** Whether a text holds a null character or half of a surrogate pair. */
export function isBroken(text: string): boolean {
  if (text.includes('\u0000')) return true;
  // most texts hold no surrogates of any kind, which is told in one quick look
  return /[\ud800-\udfff]/.test(text) && text.search(halves) >= 0;
}

/**
 * A JSON value with all its texts and names cleaned; the very same value where nothing was to be done. It may nest as
 * deep as the formats let it, so it is walked by calling itself.
 */
export function cleanValue(value: unknown): unknown {
  if (typeof value === 'string') return isBroken(value) ? cleanText(value) : value;
  if (Array.isArray(value)) {
    const list: unknown[] = value.map(cleanValue);
    return list.some((one, i) => one !== value[i]) ? list : (value as unknown);
  }
  if (typeof value !== 'object' || value === null) return value;
  const entries = Object.entries(value);
  const clean = entries.map(([key, one]) => [isBroken(key) ? cleanText(key) : key, cleanValue(one)] as const);
  return clean.some(([key, one], i) => key !== entries[i]![0] || one !== entries[i]![1])
    ? Object.fromEntries(clean)
    : value;
}

/** Names of fields that hold what people are reached by. */
const phoneNames = /(?:^|[\W_])(phone|telephone|tel|mobile|fax|telefon|handy|cell)(?:$|[\W_]|no|nr|number|nummer)/i;
const phone = /^(?:tel:)?[+(]?\d[\d\s()/.-]{5,20}\d$/;
const mail = /^(?:mailto:)?[^\s@<>]{1,64}@[^\s@<>]{1,190}\.[a-z]{2,24}$/i;

/**
 * Whether the values of a field are what people are reached by, which no visitor is shown unless someone asks for it.
 * @returns what they look like, in a sentence; null where they do not
 */
export function privateWords(key: string, texts: readonly string[]): string | null {
  const most = (is: (text: string) => boolean) => texts.filter(is).length >= Math.max(1, texts.length * 0.8);
  if (most((text) => text.length < 300 && mail.test(text))) return 'Its values look like mail addresses.';
  if (!most((text) => text.length < 40 && phone.test(text))) return null;
  // long figures are keys and counts as well: a plus in front, or the name, tells
  const isCalled = phoneNames.test(key) || most((text) => /^(?:tel:)?\+/.test(text));
  return isCalled ? 'Its values look like telephone numbers.' : null;
}

/** Languages written from right to left, where `Intl` does not tell. */
const rightToLeft = /^(ar|arc|ckb|dv|fa|ha-arab|he|khw|ks|ps|sd|ur|uz-arab|yi)\b/i;

/** Which way a language is written. */
export function directionOf(language: string): 'ltr' | 'rtl' {
  return rightToLeft.test(language) ? 'rtl' : 'ltr';
}

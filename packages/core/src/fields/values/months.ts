/** Languages whose months are known by name, besides English. */
const languages = 'de fr es it pt nl da sv nb fi pl cs sk sl hu ro tr ru uk bg el ca et lv lt'.split(' ');

const english = 'january february march april may june july august september october november december'.split(' ');

let names: Map<string, number> | undefined;

/**
 * The number of a month by its name or the short form of it, in English or one of the languages above; 0 for none. A word
 * that means one month here and another there is read as the first of these languages reads it.
 */
export function monthNumber(name: string): number {
  const plain = bare(name);
  const own = plain === 'sept' ? 8 : english.findIndex((one) => plain.length > 2 && one.startsWith(plain));
  if (own >= 0) return own + 1;
  // the names of all others are worked out when the first of them is met: that takes some milliseconds
  names ??= monthNames();
  return names.get(plain) ?? 0;
}

function monthNames(): Map<string, number> {
  const found = new Map<string, number>();
  for (const language of languages) {
    // a month is called otherwise beside a day in languages that decline it
    const forms: Intl.DateTimeFormatOptions[] = [
      { month: 'long' },
      { month: 'short' },
      { day: 'numeric', month: 'long' },
      { day: 'numeric', month: 'short' },
    ];
    for (const form of forms) {
      const written = new Intl.DateTimeFormat(language, { ...form, timeZone: 'UTC' });
      for (let month = 0; month < 12; month++) {
        const parts = written.formatToParts(new Date(Date.UTC(2026, month, 15)));
        const name = bare(parts.find(({ type }) => type === 'month')?.value ?? '');
        if (name.length >= 3 && !/\d/.test(name) && !found.has(name)) found.set(name, month + 1);
      }
    }
  }
  return found;
}

function bare(name: string): string {
  return name
    .toLowerCase()
    .normalize('NFD')
    .replace(/[\p{M}.]/gu, '')
    .trim();
}

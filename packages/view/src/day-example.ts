/** A day as one would type it in a language: an example of what can be read. */
export function dayExample(language: string, day = '2026-05-31'): string {
  const format = new Intl.DateTimeFormat(language, {
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    timeZone: 'UTC',
  });
  return format.format(new Date(`${day}T00:00:00Z`));
}

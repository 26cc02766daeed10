const steps: [number, Intl.RelativeTimeFormatUnit][] = [
  [60, 'second'],
  [60, 'minute'],
  [24, 'hour'],
  [30, 'day'],
  [12, 'month'],
  [Infinity, 'year'],
];

/** “4 minutes ago”, from a timestamp. */
export function ago(timestamp: string, now = Date.now()): string {
  let amount = (Date.parse(timestamp) - now) / 1000;
  const words = new Intl.RelativeTimeFormat('en', { numeric: 'auto' });
  for (const [size, unit] of steps) {
    // as it will be said: 59.9 minutes are an hour
    if (Math.abs(Math.round(amount)) < size)
      return unit === 'second' ? 'just now' : words.format(Math.round(amount), unit);
    amount /= size;
  }
  return timestamp;
}

/** “18 May 2026”. */
export function dayOf(timestamp: string): string {
  return new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'long', year: 'numeric' }).format(
    new Date(timestamp),
  );
}

/*
 * How the slow, obvious answer cuts a histogram. Written out here, so that it leans on nothing that it checks.
 */

/** A step of a histogram: its first and last value, and where the next begins. */
interface Step {
  from: string | number;
  to: string | number;
  next: string | number;
}

export function daySteps(low: string, high: string): Step[] {
  const day = (text: string) => new Date(`${text}T00:00:00Z`);
  const text = (date: Date) => date.toISOString().slice(0, 10);
  const spread = (day(high).getTime() - day(low).getTime()) / 86_400_000;
  const months =
    (Number(high.slice(0, 4)) - Number(low.slice(0, 4))) * 12 + Number(high.slice(5, 7)) - Number(low.slice(5, 7));
  const unit = spread < 62 ? 'day' : months < 72 ? 'month' : 'year';
  const steps: Step[] = [];
  for (
    let at = day(unit === 'day' ? low : unit === 'month' ? `${low.slice(0, 7)}-01` : `${low.slice(0, 4)}-01-01`);
    text(at) <= high;
  ) {
    const next = new Date(at);
    if (unit === 'day') next.setUTCDate(next.getUTCDate() + 1);
    else if (unit === 'month') next.setUTCMonth(next.getUTCMonth() + 1);
    else next.setUTCFullYear(next.getUTCFullYear() + 1);
    steps.push({ from: text(at), to: text(new Date(next.getTime() - 86_400_000)), next: text(next) });
    at = next;
  }
  return steps;
}

/** Hours up to a spread of 62 of them, then whole days, months or years. */
export function minuteSteps(low: string, high: string): Step[] {
  const at = (text: string) => new Date(`${text}Z`).getTime();
  const text = (time: number) => new Date(time).toISOString().slice(0, 16);
  const hour = 3_600_000;
  if (at(high) - at(low) >= 62 * hour)
    return daySteps(low.slice(0, 10), high.slice(0, 10)).map(({ from, to, next }) => ({
      from: `${from}T00:00`,
      to: `${to}T23:59`,
      next: `${next}T00:00`,
    }));
  const steps: Step[] = [];
  for (let from = at(`${low.slice(0, 13)}:00`); text(from) <= high; from += hour)
    steps.push({ from: text(from), to: text(from + hour - 60_000), next: text(from + hour) });
  return steps;
}

/** Whole numbers: the smallest of 1, 2, 5, 10, 20, 50 … that needs at most twenty steps. */
export function numberSteps(low: number, high: number, whole: boolean): Step[] {
  if (!whole) throw new Error('The reference cuts whole numbers only.');
  let size = 1;
  for (let i = 0; Math.floor(high / size) - Math.floor(low / size) + 1 > 20; i++)
    size = [1, 2, 5][i % 3]! * 10 ** Math.floor(i / 3);
  const steps: Step[] = [];
  for (let from = Math.floor(low / size) * size; from <= high; from += size)
    steps.push({ from, to: from + size - 1, next: from + size });
  return steps;
}

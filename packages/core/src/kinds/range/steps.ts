import { dayText, numberOf, partsOf } from '../../dates/calendar.js';
import { minuteText, minutesADay } from '../../dates/minute.js';
import type { NumberCut } from '../../model/compact.js';

/**
 * Steps a histogram is cut into: `place` gives a value's step, and `edges` the first and last value of a step. Of each
 * size there is one object, by which the cut of a column is known.
 */
export interface Steps {
  place(value: number): number;
  edges(step: number): Edges;
}

/** The first and last value of a step; of a step of days or minutes also as they are written. */
export interface Edges {
  from: number;
  to: number;
  first?: string;
  last?: string;
}

const mostHours = 62;
const mostDays = 62;
const mostMonths = 72;
const mostSteps = 20;

/** Days up to a 62-day spread, months up to six years, years beyond. */
export function daySteps(low: number, high: number): Steps {
  if (high - low < mostDays) return days;
  return months.place(high) - months.place(low) < mostMonths ? months : years;
}

const days: Steps = { place: (day) => day, edges: (day) => ofDays(day, day) };

function ofDays(from: number, to: number): Edges {
  return { from, to, first: dayText(from), last: dayText(to) };
}

/** The same for minutes of a clock; below a 62-hour spread, hours. */
export function minuteSteps(low: number, high: number): Steps {
  if (high - low < mostHours * 60) return hours;
  const size = daySteps(Math.floor(low / minutesADay), Math.floor(high / minutesADay));
  let steps = ofMinutes.get(size);
  if (!steps) ofMinutes.set(size, (steps = inMinutes(size)));
  return steps;
}

const hours: Steps = {
  place: (minute) => Math.floor(minute / 60),
  edges: (hour) => fromTo(hour * 60, hour * 60 + 59),
};
const ofMinutes = new Map<Steps, Steps>();

function inMinutes(steps: Steps): Steps {
  return {
    place: (minute) => steps.place(Math.floor(minute / minutesADay)),
    edges: (step) => {
      const { from, to } = steps.edges(step);
      return fromTo(from * minutesADay, (to + 1) * minutesADay - 1);
    },
  };
}

function fromTo(from: number, to: number): Edges {
  return { from, to, first: minuteText(from), last: minuteText(to) };
}

const firstOfMonth = (step: number) => numberOf(Math.floor(step / 12), (step % 12) + 1, 1);
const months: Steps = {
  place: (day) => {
    const { year, month } = partsOf(day);
    return year * 12 + month - 1;
  },
  edges: remembered((step) => ofDays(firstOfMonth(step), firstOfMonth(step + 1) - 1)),
};
const years: Steps = {
  place: (day) => partsOf(day).year,
  edges: remembered((year) => ofDays(numberOf(year, 1, 1), numberOf(year, 12, 31))),
};

/** Keeps what was worked out: the calendar does not change, and every histogram asks for the same months. */
function remembered(edges: Steps['edges']): Steps['edges'] {
  const known = new Map<number, Edges>();
  return (step) => {
    let found = known.get(step);
    if (!found) known.set(step, (found = edges(step)));
    return found;
  };
}

/** From 1 to 2, to 5, to 10 and on. */
const growth = (n: number) => (n % 3 === 1 ? 2.5 : 2);

/** At most twenty steps of 1, 2 or 5 times a power of ten; whole numbers never finer than 1. */
export function numberCut(low: number, high: number, whole: boolean): NumberCut {
  let [size, down] = [1, 1];
  const fits = () => Math.floor((high * down) / size) - Math.floor((low * down) / size) < mostSteps;
  if (whole || !fits()) for (let n = 0; !fits(); n++) size *= growth(n);
  // sizes below 1 are kept as a whole divisor: 0.1 × 3 is not 0.3, but 3 / 10 is
  else if (high > low) {
    for (let n = 0; down < 1e9; n++) {
      const before = down;
      down *= growth(n);
      if (fits()) continue;
      down = before;
      break;
    }
  }
  return { size, down, whole };
}

/** The same as steps. */
export function numberSteps(low: number, high: number, whole: boolean): Steps {
  const cut = numberCut(low, high, whole);
  // a size is that of one pair only
  const known = whole ? wholeSteps : otherSteps;
  let steps = known.get(cut.size / cut.down);
  if (!steps) known.set(cut.size / cut.down, (steps = stepsOfNumbers(cut)));
  return steps;
}

const wholeSteps = new Map<number, Steps>();
const otherSteps = new Map<number, Steps>();

export function stepsOfNumbers({ size, down, whole }: NumberCut): Steps {
  return {
    place: (value) => Math.floor((value * down) / size),
    edges: (step) => {
      const from = (step * size) / down;
      return { from, to: whole ? from + size - 1 : ((step + 1) * size) / down };
    },
  };
}

/** The steps from that of the least value to that of the greatest. */
export function edgesBetween(cut: Steps, low: number, high: number): { first: number; edges: Edges[] } {
  const [first, last] = [cut.place(low), cut.place(high)];
  const edges: Edges[] = [];
  for (let step = first; step <= last; step++) edges.push(cut.edges(step));
  return { first, edges };
}

// Makes the 480 notes, always the same ones, with a few gaps and slips such as real files have.
import { random } from './random.mjs';
import * as words from './words.mjs';

const count = 480;
const from = Date.UTC(2024, 8, 1);
const to = Date.UTC(2026, 5, 12);
const day = 86_400_000;

const capital = (text) => text[0].toUpperCase() + text.slice(1);
const isoDay = (time) => new Date(time).toISOString().slice(0, 10);

export function makeNotes() {
  const chance = random('orrin estuary wardens');
  const titles = new Set();
  const notes = Array.from({ length: count }, (_, i) => makeNote(chance, i, titles));
  notes.sort((a, b) => (a.published < b.published ? -1 : 1));
  notes.forEach((note, i) => {
    note.id = `n-${String(i + 1).padStart(4, '0')}`;
  });
  slipUp(notes, random('slips'));
  return notes;
}

function makeNote(chance, i, titles) {
  const [reach, stretch, spot] = chance.weighted(words.places.map((place) => [place, place[3]]));
  const habitat = [chance.pick(words.habitatsAt[stretch])];
  if (chance.chance(0.16)) {
    const second = chance.pick(words.habitatsAt[stretch]);
    if (second !== habitat[0]) habitat.push(second);
  }
  const species = [chance.pick(words.speciesAt[habitat[0]])];
  if (chance.chance(0.28)) {
    const second = chance.pick(words.speciesAt[habitat.at(-1)]);
    if (!species.includes(second)) species.push(second);
  }
  const kind = chance.weighted(words.kinds);
  // wardens write more in spring: half of the notes are drawn from March to June
  let time = chance.between(from, to);
  for (let tries = 0; tries < 2 && chance.chance(0.5) && ![2, 3, 4, 5].includes(new Date(time).getUTCMonth()); tries++)
    time = chance.between(from, to);
  const observed = Math.floor(time / day) * day;
  const published = observed + chance.whole(0, 9) * day + chance.whole(6 * 60, 21 * 60) * 60_000;
  const date = new Date(observed);
  const hour = chance.pick(['dawn', 'noon', 'noon', 'dusk', 'moss', 'storm', 'night']);
  const observer = chance.pick(words.observers);
  const fill = (template) =>
    fillIn(template, { chance, date, observer, spot, habitat: habitat[0], species: species[0] });
  const title = uniqueTitle(() => fill(chance.pick(words.titles[kind])), titles, spot, date);
  const subject = kind === 'Interview' ? 'People' : kind === 'Notice' ? chance.pick(['People', 'Boats']) : species[0];
  return {
    title,
    summary: fill(chance.pick(words.summaries[kind])),
    observed: isoDay(observed),
    published: new Date(published).toISOString().replace('.000Z', 'Z'),
    habitat: habitat.map((name) => `${words.habitats[name]} > ${name}`),
    place: `${reach} > ${stretch} > ${spot}`,
    spot,
    species,
    kind,
    minutes: Math.max(
      1,
      Math.round(
        { Survey: 5, Sighting: 3, 'How-to': 7, Notice: 1.5, Interview: 11 }[kind] +
          chance.between(-2, 4) * chance.next(),
      ),
    ),
    tideHeight: kind === 'Survey' || kind === 'Sighting' ? Math.round(chance.between(3, 62)) / 10 : '',
    tide: chance.pick(words.tides),
    volunteers: chance.chance(kind === 'Survey' || kind === 'Notice' ? 0.34 : 0.08) ? 'yes' : 'no',
    observer,
    light: hour,
    subject,
    scene: habitat[0],
    number: i,
  };
}

function uniqueTitle(make, taken, spot, date) {
  let title = make();
  for (let tries = 0; taken.has(title) && tries < 20; tries++) title = make();
  if (taken.has(title)) title = `${title}, ${spot}`;
  if (taken.has(title)) title = `${title}, ${date.getUTCDate()} ${words.months[date.getUTCMonth()]}`;
  while (taken.has(title)) title += ' again';
  taken.add(title);
  return title;
}

function fillIn(template, { chance, date, observer, spot, habitat, species }) {
  const one = chance.pick(words.names[species]);
  const figure = chance.pick(words.numbers.slice(1));
  const month = words.months[date.getUTCMonth()];
  const season = [
    'winter',
    'winter',
    'spring',
    'spring',
    'spring',
    'summer',
    'summer',
    'summer',
    'autumn',
    'autumn',
    'autumn',
    'winter',
  ][date.getUTCMonth()];
  const values = {
    s: one,
    S: capital(one),
    p: spot,
    h: habitat.toLowerCase(),
    n: figure,
    N: capital(figure),
    m: month,
    w: String(chance.whole(9, 52)),
    season,
    o: observer.split(' ')[0],
  };
  return template.replace(/\{(\w+)\}/g, (whole, name) => values[name] ?? whole);
}

/** Gaps and slips of the pen, few and known: they are what findings are for. */
function slipUp(notes, chance) {
  const some = (n, change) => {
    for (let i = 0; i < n; i++) change(notes[chance.whole(0, notes.length - 1)]);
  };
  some(8, (note) => (note.habitat = []));
  some(4, (note) => (note.summary = ''));
  some(19, (note) => (note.noPicture = true));
  const dates = ['31/02/2026', 'late May', '2025-13-04', 'the week after', 'n/a', '12 Brack 2025'];
  dates.forEach((text, i) => (notes[37 + i * 71].observed = text));
  const withMud = notes.filter((note) => note.habitat.includes('Shore > Mudflat'));
  for (const note of withMud.slice(4, 8))
    note.habitat = note.habitat.map((path) => path.replace('Mudflat', 'Mud flat'));
  const atPoint = notes.filter((note) => note.spot === 'Gannick Point');
  atPoint[11].place = 'Outer estuary > North Shore > Gannick Pt';
}

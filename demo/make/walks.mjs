// Makes the wardens' calendar of walks, always the same one: days or spans of days, at the places of the notes.
import { random } from './random.mjs';
import { months, observers, places } from './words.mjs';

const day = 86_400_000;
const first = Date.UTC(2026, 5, 13);
const count = 44;

const kinds = {
  'Guided walk': { days: [1, 1], level: ['Easy', 'Easy', 'Steady'] },
  'Bird count': { days: [1, 2], level: ['Easy', 'Steady'] },
  'Camp on the spit': { days: [3, 5], level: ['Steady', 'Long'] },
  'Work party': { days: [2, 3], level: ['Steady', 'Long'] },
  'Open boat': { days: [1, 1], level: ['Easy'] },
};
const titles = {
  'Guided walk': [
    'At low water along {spot}',
    'What lives at {spot}',
    '{spot} before breakfast',
    'Round {spot} by dusk',
  ],
  'Bird count': ['The {month} count at {spot}', 'Counting waders at {spot}'],
  'Camp on the spit': ['Three nights of terns at {spot}', 'Under canvas at {spot}'],
  'Work party': ['Mending the hide at {spot}', 'Cutting reed at {spot}', 'A new fence for {spot}'],
  'Open boat': ['To the seals from {spot}', 'The ferry’s old way, {spot}'],
};
const notes = {
  'Guided walk': 'Two hours with a warden, at the pace of whoever is slowest.',
  'Bird count': 'Telescopes are there. Bring a pencil and a thick coat.',
  'Camp on the spit': 'We watch in turns, so that the nests are never alone.',
  'Work party': 'Gloves and soup are ours, old clothes are yours.',
  'Open boat': 'Twelve seats, and no landing.',
};
export function makeWalks() {
  const chance = random('orrin walks');
  const walks = Array.from({ length: count }, (_, i) => {
    const kind = chance.pick(Object.keys(kinds));
    const [reach, stretch, spot] = chance.weighted(places.map((place) => [place, place[3]]));
    const begins = first + Math.floor((i * 190) / count + chance.between(0, 4)) * day;
    const [least, most] = kinds[kind].days;
    const month = months[new Date(begins).getUTCMonth()];
    const title = chance.pick(titles[kind]).replace('{spot}', spot).replace('{month}', month);
    return {
      title,
      kind,
      place: `${reach} > ${stretch} > ${spot}`,
      begins,
      ends: begins + (chance.whole(least, most) - 1) * day,
      level: chance.pick(kinds[kind].level),
      leader: chance.pick(observers),
      summary: notes[kind],
      places: chance.chance(0.2) ? 0 : chance.whole(2, 18),
    };
  });
  walks.sort((a, b) => a.begins - b.begins);
  return walks.map((walk, i) => {
    const iso = (time) => new Date(time).toISOString().slice(0, 10);
    const id = `w-${String(i + 1).padStart(2, '0')}`;
    return { id, ...walk, begins: iso(walk.begins), ends: iso(walk.ends) };
  });
}

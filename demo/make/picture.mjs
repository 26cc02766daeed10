// Draws a note's picture: flat shapes, as if cut in lino, of an estuary in some light.
import { random } from './random.mjs';

const width = 320;
const height = 180;

/** Colours from far to near: two of the sky, the sun, far land, water, near land, ink, pale, one bright. */
const lights = {
  dawn: ['#f6e3cb', '#efcfb0', '#e3946a', '#c9bda6', '#93a79d', '#587570', '#22393c', '#fdf6ea', '#cb6a42'],
  noon: ['#e1ebe6', '#d0dfd9', '#fdf7e3', '#b0c5bb', '#82a69c', '#4c7269', '#1d393b', '#f6f9f3', '#da8a40'],
  dusk: ['#e6d3d5', '#d7bcc6', '#f2b78f', '#ada0b4', '#767f9a', '#485672', '#242c44', '#f8ece5', '#cb6551'],
  moss: ['#eeead4', '#e1dcba', '#dfb655', '#c0c59a', '#8e9f6f', '#546c4b', '#27382c', '#faf7e9', '#bb5b3b'],
  storm: ['#ced8d9', '#b7c6ca', '#f3f4ec', '#99adb3', '#678690', '#3d5a65', '#1c323c', '#f0f4f2', '#dda24c'],
  night: ['#354b5d', '#2b4053', '#f4e6c2', '#486271', '#32505f', '#213b4c', '#132526', '#d2dfdb', '#e2ab5f'],
};

/**
 * @param {{ seed: string, habitat: string, subject: string, light: string }} note
 * @returns {string} an SVG document
 */
export function drawPicture({ seed, habitat, subject, light }) {
  const chance = random(`${seed} ${habitat} ${subject}`);
  const [sky, sky2, sun, far, water, near, ink, pale, bright] = lights[light];
  const colours = { sky, sky2, sun, far, water, near, ink, pale, bright };
  const parts = [
    `<rect width="${width}" height="${height}" fill="${sky}"/>`,
    drawSky(chance, colours, light),
    (scenes[habitat] ?? scenes.Mudflat)(chance, colours),
    (subjects[subject] ?? (() => ''))(chance, colours),
  ];
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" width="${width}" height="${height}">${parts.join('')}</svg>\n`;
}

const n = (value) => Math.round(value * 10) / 10;
const path = (d, fill) => `<path d="${d}" fill="${fill}"/>`;
const line = (d, stroke, w = 2) =>
  `<path d="${d}" fill="none" stroke="${stroke}" stroke-width="${w}" stroke-linecap="round"/>`;
const disc = (x, y, r, fill) => `<circle cx="${n(x)}" cy="${n(y)}" r="${n(r)}" fill="${fill}"/>`;
const placed = (x, y, scale, inner, turn = 0) =>
  `<g transform="translate(${n(x)} ${n(y)}) rotate(${n(turn)}) scale(${n(scale)} ${n(Math.abs(scale))})">${inner}</g>`;
const many = (count, draw) => Array.from({ length: count }, (_, i) => draw(i)).join('');

/** Land or water with a gently rolling upper edge, down to the foot of the picture. */
function ground(chance, top, swell, fill) {
  let d = `M0 ${n(top + chance.between(-swell, swell))}`;
  for (let x = 0; x < width; x += 80) {
    d += `q40 ${n(chance.between(-swell, swell))} 80 ${n(chance.between(-swell, swell) / 2)}`;
  }
  return path(`${d}V${height}H0Z`, fill);
}

/** Short level strokes: light on water, tool marks in the block. */
function strokes(chance, count, top, bottom, colour, w = 1.4) {
  return many(count, () => {
    const length = chance.between(10, 46);
    return line(`M${n(chance.between(-10, width - 20))} ${n(chance.between(top, bottom))}h${n(length)}`, colour, w);
  });
}

function drawSky(chance, { sky2, sun, pale }, light) {
  const depth = chance.between(24, 44);
  const x = chance.between(50, 270);
  const y = chance.between(34, 62);
  const stars =
    light === 'night'
      ? many(18, () => disc(chance.between(0, width), chance.between(4, 70), chance.between(0.5, 1.4), sun))
      : '';
  return `<rect width="${width}" height="${n(depth)}" fill="${sky2}"/>${strokes(chance, 5, 8, depth + 14, pale)}${stars}${disc(x, y, chance.between(15, 25), sun)}`;
}

function sea(chance, colours, top) {
  return `${ground(chance, top - 9, 5, colours.far)}<rect y="${n(top)}" width="${width}" height="${height}" fill="${colours.water}"/>${strokes(chance, 12, top + 5, top + 46, colours.sky)}`;
}

const scenes = {
  Mudflat(chance, c) {
    const top = chance.between(70, 82);
    const x = chance.between(90, 200);
    const creek = `M${n(x)} ${n(top + 8)}C${n(x + 70)} ${n(top + 24)} ${n(x - 90)} ${n(top + 40)} ${n(x - 20)} ${n(top + 58)}S${n(x + 90)} ${n(top + 84)} ${n(x + 50)} ${height + 2}H${n(x - 70)}C${n(x + 10)} ${n(top + 82)} ${n(x + 20)} ${n(top + 72)} ${n(x - 60)} ${n(top + 56)}S${n(x + 30)} ${n(top + 24)} ${n(x - 10)} ${n(top + 8)}Z`;
    return `${ground(chance, top - 8, 5, c.far)}<rect y="${n(top)}" width="${width}" height="${height}" fill="${c.water}"/>${path(creek, c.sky)}${strokes(chance, 22, top + 18, 150, c.near)}${ground(chance, 160, 5, c.near)}${strokes(chance, 6, 164, 176, c.water)}`;
  },
  'Shingle bank'(chance, c) {
    const top = chance.between(66, 78);
    const stones = many(90, (i) => {
      const y = top + 54 + (i % 6) * 13 + chance.between(-4, 4);
      const size = 4 + (y - top - 40) / 16;
      return `<ellipse cx="${n(chance.between(-4, 324))}" cy="${n(y)}" rx="${n(size)}" ry="${n(size * 0.6)}" fill="${chance.pick([c.near, c.water, c.pale, c.far, c.sky2, c.ink])}"/>`;
    });
    return `${sea(chance, c, top)}${ground(chance, top + 42, 9, c.pale)}${ground(chance, top + 48, 8, c.far)}${stones}`;
  },
  'Wrack line'(chance, c) {
    const bands = [c.water, c.far, c.sky2, c.pale, c.sky2, c.sky];
    return many(6, (i) => {
      const y = 40 + i * 24;
      const weed = many(i > 0 ? 16 : 0, () => {
        const x = chance.between(0, 310);
        const dy = y + chance.between(2, 12);
        return chance.chance(0.6)
          ? line(`M${n(x)} ${n(dy)}q4 -8 9 -3t9 -2`, chance.pick([c.ink, c.near]), 2.2)
          : disc(x, dy, chance.between(1, 2.8), chance.pick([c.ink, c.bright, c.near]));
      });
      return ground(chance, y, 9, bands[i]) + weed;
    });
  },
  Reedbed(chance, c) {
    const top = chance.between(86, 98);
    const reed = (x, tall, colour, w) => {
      const lean = chance.between(-9, 11);
      const head = chance.chance(0.45)
        ? path(`M${n(x + lean)} ${n(184 - tall - 14)}q5 8 1 17q-6 -7 -1 -17Z`, colour)
        : '';
      const leaf = chance.chance(0.5)
        ? line(`M${n(x + lean * 0.5)} ${n(184 - tall * 0.55)}q9 -12 ${n(chance.between(13, 24))} -19`, colour, w * 0.7)
        : '';
      return line(`M${n(x)} 184q${n(lean * 0.2)} ${n(-tall * 0.6)} ${n(lean)} ${n(-tall)}`, colour, w) + leaf + head;
    };
    return `${sea(chance, c, top)}${many(40, (i) => reed(i * 8.2, chance.between(34, 70), c.near, 2.4))}${many(26, (i) => reed(i * 12.6, chance.between(24, 48) + Math.abs(i - 13) * 5, c.ink, 2.8))}`;
  },
  Saltmarsh(chance, c) {
    const top = chance.between(62, 72);
    const cushions = many(15, (i) => {
      const y = top + 14 + i * 7.4;
      const w = (36 + chance.between(0, 42)) * (0.6 + i / 16);
      const x = chance.between(-10, 330);
      return `<ellipse cx="${n(x)}" cy="${n(y)}" rx="${n(w)}" ry="${n(w * 0.16)}" fill="${i % 3 ? c.near : c.far}"/><ellipse cx="${n(x - 4)}" cy="${n(y - w * 0.04)}" rx="${n(w * 0.8)}" ry="${n(w * 0.1)}" fill="${i % 3 ? c.water : c.sky2}" opacity=".5"/>`;
    });
    const tufts = many(26, () => {
      const x = chance.between(0, 320);
      const y = chance.between(top + 34, 178);
      return line(`M${n(x)} ${n(y)}l-3 -9M${n(x)} ${n(y)}v-12M${n(x)} ${n(y)}l4 -9`, c.ink, 1.4);
    });
    return `${ground(chance, top - 7, 4, c.far)}<rect y="${n(top)}" width="${width}" height="${height}" fill="${c.water}"/>${cushions}${tufts}`;
  },
  Lagoon(chance, c) {
    const top = chance.between(76, 88);
    const x = chance.between(90, 230);
    const glints = many(
      8,
      (i) =>
        `<rect x="${n(x - 44 + i * 4.6)}" y="${n(top + 8 + i * 9)}" width="${n(88 - i * 9.2)}" height="3.2" rx="1.6" fill="${c.sun}" opacity="${n(0.9 - i * 0.09)}"/>`,
    );
    const rings = many(
      3,
      (i) =>
        `<ellipse cx="${n(x + 60)}" cy="150" rx="${12 + i * 14}" ry="${3.5 + i * 4}" fill="none" stroke="${c.sky}" stroke-width="1.3"/>`,
    );
    return `${ground(chance, top - 12, 8, c.far)}<rect y="${n(top)}" width="${width}" height="${height}" fill="${c.water}"/>${glints}${rings}${path('M0 180V146C44 148 66 166 140 180Z', c.ink)}${path('M320 180V150C286 154 262 168 214 180Z', c.near)}`;
  },
  'Hay meadow'(chance, c) {
    const top = chance.between(76, 88);
    const grass = many(54, (i) => {
      const x = i * 6 + chance.between(-3, 3);
      const tall = chance.between(30, 80);
      const lean = chance.between(-10, 10);
      const flower = chance.chance(0.3)
        ? disc(x + lean, 184 - tall, chance.between(2.6, 4.6), chance.pick([c.bright, c.sun, c.pale]))
        : chance.chance(0.4)
          ? `<ellipse cx="${n(x + lean)}" cy="${n(184 - tall)}" rx="2.1" ry="6" fill="${c.ink}"/>`
          : '';
      return (
        line(
          `M${n(x)} 184q${n(lean * 0.3)} ${n(-tall * 0.6)} ${n(lean)} ${n(-tall)}`,
          chance.pick([c.ink, c.ink, c.water]),
          1.7,
        ) + flower
      );
    });
    return `${ground(chance, top - 14, 9, c.far)}${ground(chance, top + 8, 6, c.water)}${ground(chance, top + 40, 5, c.near)}${grass}`;
  },
  Hedgerow(chance, c) {
    const bushes = many(30, (i) =>
      disc(
        (i % 15) * 24 - 8 + chance.between(-6, 6),
        122 + (i > 14 ? 14 : 0) + chance.between(-7, 7),
        chance.between(16, 28),
        i > 14 ? c.ink : c.near,
      ),
    );
    const berries = many(28, () =>
      disc(
        chance.between(0, 320),
        chance.between(108, 150),
        chance.between(1.5, 3),
        chance.pick([c.bright, c.pale, c.far]),
      ),
    );
    return `${ground(chance, 100, 6, c.far)}<rect y="136" width="${width}" height="60" fill="${c.water}"/>${bushes}${berries}${ground(chance, 160, 3, c.water)}${strokes(chance, 8, 165, 176, c.near)}`;
  },
};

/** A tern in flight, beak to the right, about 110 wide. */
const tern = (c) =>
  path('M-8 4C6 -22 30 -34 64 -40C46 -22 34 -8 22 8Z', c.far) +
  path('M54 6C40 0 22 2 8 8L-46 12L-30 17L-48 30C-22 26 10 22 32 15C42 12 49 9 54 6Z', '#fff') +
  path('M16 6C4 -12 -22 -26 -62 -30C-38 -18 -20 -2 -6 13Z', '#fff') +
  path('M-62 -30C-48 -28 -38 -25 -30 -21L-36 -17C-44 -22 -52 -26 -62 -30Z', c.ink) +
  path('M50 3C44 -1 36 -1 30 3C37 5 45 7 53 6.5Z', c.ink) +
  path('M53 5L70 9L52 9.5Z', c.bright);
/** A wader standing, beak to the right, about 100 wide. */
const wader = (c, fill = c.ink) =>
  line('M-4 0L-7 34M8 0L9 34M-7 34h8M9 34h8', c.ink, 2.2) +
  path(
    'M-34 -4C-28 -22 -4 -28 14 -21C20 -24 20 -34 26 -39C32 -43 40 -39 40 -33C39 -26 36 -14 28 -6C16 6 -16 8 -34 -4Z',
    fill,
  ) +
  path('M39 -36C56 -36 70 -28 78 -15C66 -24 54 -29 38 -30Z', c.bright) +
  line('M-24 -6C-12 -13 2 -13 12 -8', c.pale, 1.6) +
  disc(33, -35, 1.4, c.pale);
const gull = (c) => path('M-11 -4C-6 -7 -2 -4 0 1C2 -4 6 -7 11 -4C6 -4 2 0 0 4C-2 0 -6 -4 -11 -4Z', c.ink);

const subjects = {
  'Terns & gulls': (chance, c) =>
    chance.chance(0.5)
      ? placed(chance.between(120, 200), chance.between(52, 80), 1.1, tern(c), chance.between(-14, 4))
      : many(3, (i) => placed(80 + i * 66, chance.between(40, 84), [0.5, 1, 0.65][i], tern(c), chance.between(-14, 6))),
  Waders: (chance, c) =>
    placed(chance.between(100, 140), 138, 1.05, wader(c)) +
    placed(chance.between(206, 240), 128, -0.62, wader(c, c.near)) +
    (chance.chance(0.5) ? placed(54, 122, 0.45, wader(c, c.near)) : ''),
  Raptors: (chance, c) =>
    placed(
      chance.between(120, 210),
      chance.between(48, 66),
      chance.between(0.85, 1.15),
      path(
        'M0 8C-14 -6 -38 -18 -72 -22C-54 -12 -38 -2 -22 10C-14 14 -8 14 -5 15L-9 36L0 31L9 36L5 15C8 14 14 14 22 10C38 -2 54 -12 72 -22C38 -18 14 -6 0 8Z',
        c.ink,
      ) + line('M-62 -20l8 5M62 -20l-8 5M-52 -17l8 6M52 -17l-8 6', c.far, 1.4),
      chance.between(-10, 10),
    ),
  Bats: (chance, c) =>
    many(3, (i) =>
      placed(
        70 + i * 84,
        chance.between(34, 80),
        [0.7, 1.15, 0.55][i],
        path(
          'M0 -6L-3 -12L-5 -5C-14 -14 -26 -17 -44 -10C-35 -6 -33 0 -33 7C-27 1 -21 1 -18 8C-12 3 -6 5 0 13C6 5 12 3 18 8C21 1 27 1 33 7C33 0 35 -6 44 -10C26 -17 14 -14 5 -5L3 -12Z',
          c.ink,
        ),
        chance.between(-16, 16),
      ),
    ),
  Moths: (chance, c) =>
    placed(
      chance.between(120, 200),
      chance.between(74, 96),
      chance.between(0.95, 1.2),
      path('M0 -4C-14 -32 -48 -36 -57 -25C-54 -6 -30 7 -4 7ZM0 -4C14 -32 48 -36 57 -25C54 -6 30 7 4 7Z', c.pale) +
        path('M-3 5C-22 7 -36 15 -36 28C-25 34 -8 27 0 11C8 27 25 34 36 28C36 15 22 7 3 5Z', c.sun) +
        line('M-48 -25C-36 -18 -24 -8 -12 0M48 -25C36 -18 24 -8 12 0', c.ink, 1.4) +
        disc(-34, -17, 4, c.bright) +
        disc(34, -17, 4, c.bright) +
        `<ellipse cx="0" cy="4" rx="4" ry="16" fill="${c.ink}"/>` +
        line('M-1 -11C-4 -21 -10 -26 -17 -28M1 -11C4 -21 10 -26 17 -28', c.ink, 1.5),
      chance.between(-14, 14),
    ),
  Eels: (chance, c) =>
    placed(
      160,
      chance.between(124, 140),
      chance.between(0.95, 1.2),
      path(
        'M-98 10C-76 -22 -46 -22 -25 4C-6 26 22 26 43 2C55 -12 72 -18 90 -12C94 -10 94 -5 89 -4C75 -4 63 2 53 13C26 40 -16 38 -37 13C-51 -6 -73 -8 -98 10Z',
        c.ink,
      ) +
        line('M-62 -7C-46 -13 -34 -3 -24 9C-9 27 20 29 41 10', c.far, 2) +
        disc(82, -9.5, 1.9, c.pale),
    ),
  Wildfowl: (chance, c) => {
    const duck =
      path(
        'M-34 0C-20 -12 8 -14 20 -6C22 -14 20 -20 26 -24C32 -27 39 -23 38 -17L48 -14L37 -11C35 0 24 10 0 10C-16 10 -28 7 -34 0Z',
        c.ink,
      ) +
      path('M-22 -2C-10 -8 4 -8 14 -3C4 5 -12 6 -22 -2Z', c.far) +
      path('M38 -17L49 -14L37 -11Z', c.bright) +
      disc(31, -18, 1.4, c.pale) +
      line('M-40 13h84', c.sky, 1.4);
    return many(3, (i) =>
      placed(
        74 + i * 78,
        118 + [14, 0, 22][i] + chance.between(-4, 4),
        [0.8, 0.6, 1][i] * (chance.chance(0.3) ? -1 : 1),
        duck,
      ),
    );
  },
  Plants: (chance, c) =>
    many(5, (i) => {
      const x = 50 + i * 55 + chance.between(-14, 14);
      const tall = chance.between(54, 92);
      const leaves = many(3, (k) =>
        line(`M${n(x)} ${n(178 - tall * (0.25 + k * 0.2))}q${k % 2 ? -16 : 16} -4 ${k % 2 ? -22 : 22} -18`, c.ink, 3),
      );
      const petals = many(
        6,
        (k) =>
          `<ellipse cx="${n(x)}" cy="${n(178 - tall - 8)}" rx="3.6" ry="8" fill="${i % 2 ? c.bright : c.pale}" transform="rotate(${k * 60} ${n(x)} ${n(178 - tall)})"/>`,
      );
      return line(`M${n(x)} 184V${n(178 - tall)}`, c.ink, 2.6) + leaves + petals + disc(x, 178 - tall, 4, c.sun);
    }),
  People: (chance, c) =>
    placed(
      chance.between(110, 210),
      128,
      1,
      `${path('M-34 20V-16L0 -36L34 -16V20Z', c.ink)}${path('M-20 -10h16v7h-16zM6 -10h16v7h-16z', c.sun)}${line('M-26 20V44M26 20V44M-8 20V44M9 20V44', c.ink, 3.2)}`,
    ) + many(4, () => placed(chance.between(30, 290), chance.between(24, 60), chance.between(0.7, 1.1), gull(c))),
  Boats: (chance, c) =>
    placed(
      chance.between(110, 210),
      122,
      1.05,
      path('M-44 -4C-24 0 22 0 48 -8C41 10 28 15 -20 14C-34 13 -41 4 -44 -4Z', c.ink) +
        line('M-34 3C-12 7 20 7 38 0', c.bright, 3) +
        line('M0 -2V-64', c.ink, 2.4) +
        path('M4 -62C22 -46 28 -28 26 -12L4 -10Z', c.pale) +
        path('M-4 -54C-16 -40 -22 -26 -22 -12L-4 -10Z', c.sky2),
    ),
};

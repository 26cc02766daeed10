import { move } from './move.js';

const part = document.body.appendChild(document.createElement('div'));
let transitions: { draw: () => void; end: () => void }[];
let wantsMotion: boolean;

beforeEach(() => {
  part.innerHTML = '<ul><li class="ivy-card"></li></ul>';
  transitions = [];
  wantsMotion = true;
  Object.assign(globalThis, { matchMedia: () => ({ matches: wantsMotion }) });
  Object.assign(document, {
    startViewTransition: (draw: () => void) => {
      let end!: () => void;
      const finished = new Promise<void>((done) => (end = done));
      transitions.push({ draw, end });
      return { ready: Promise.reject(new Error('overtaken')), finished };
    },
  });
});
afterAll(() => {
  delete (document as Partial<Document>).startViewTransition;
});

test('cards move while an answer is drawn, and the page is as before when they are there', async () => {
  const drawn = jest.fn();
  expect(move(part, drawn)).toBe(true);
  expect([part.dataset.moving, drawn.mock.calls.length]).toEqual(['', 0]);
  transitions[0]!.draw();
  expect(drawn).toHaveBeenCalledTimes(1);
  transitions[0]!.end();
  await new Promise((done) => setTimeout(done, 1));
  expect(part.dataset.moving).toBeUndefined();
});

test('where there is no card, the visitor wants no motion, or the browser can’t, nothing moves', () => {
  wantsMotion = false;
  expect(move(part, () => {})).toBe(false);
  wantsMotion = true;
  part.replaceChildren();
  expect(move(part, () => {})).toBe(false);
  part.innerHTML = '<i class="ivy-card"></i>';
  delete (document as Partial<Document>).startViewTransition;
  expect(move(part, () => {})).toBe(false);
  expect([transitions.length, part.dataset.moving]).toEqual([0, undefined]);
});

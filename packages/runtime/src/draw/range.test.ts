import { Visit } from '../../test/visit.js';

let visit: Visit;
afterEach(() => visit.leave());

const minutes = { key: 'minutes', kind: 'number-range', field: 'minutes', label: 'Minutes', unit: 'min' };
const day = { key: 'day', kind: 'date-range', field: 'day', label: 'Day' };
const bars = () => visit.all('.ivy-histogram > span').map((bar) => bar.className === 'ivy-bar-in');
const inSight = () => bars().filter(Boolean).length;

test('two ends of a range of numbers are typed, each for itself, and either may be open', async () => {
  visit = await Visit.to([minutes]);
  await visit.set('From (min)', '50');
  expect([visit.address, visit.count]).toEqual(['minutes=50/..', '28 posts of 40']);
  await visit.set('To (min)', '70');
  expect([visit.address, visit.count]).toEqual(['minutes=50/70', '12 posts of 40']);
  expect(visit.words('.ivy-chip')).toEqual(['50 – 70 min']);
  await visit.set('From (min)', '');
  expect(visit.address).toBe('minutes=../70');
  await visit.set('To (min)', '');
  expect([visit.address, visit.count]).toEqual(['', '40 posts']);
});

test('an answer that comes while one types in a box of a range leaves what is typed', async () => {
  visit = await Visit.to([minutes, day]);
  for (const name of ['To (min)', 'To']) {
    const box = visit.box(name);
    box.value = '70';
    box.dispatchEvent(new Event('input', { bubbles: true }));
    await visit.set('From (min)', name === 'To' ? '' : '50');
    expect(box.value).toBe('70');
  }
});

test('the boxes say what there is, and the picture which of it is in', async () => {
  visit = await Visit.to([minutes]);
  const hint = (name: string) => visit.box(name).placeholder;
  expect([hint('From (min)'), hint('To (min)')]).toEqual(['20', '110']);
  const all = bars().length;
  expect(inSight()).toBe(all);
  await visit.set('From (min)', '100');
  expect(inSight()).toBeGreaterThan(0);
  expect(inSight()).toBeLessThan(all);
});

test('a thumb that moves shows where it would be, and asks when it is let go', async () => {
  visit = await Visit.to([minutes]);
  const [low] = visit.all<HTMLInputElement>('.ivy-thumb');
  await visit.set(low!, '30', 'input');
  expect(visit.box('From (min)').value).toBe('50');
  expect([visit.address, visit.count]).toEqual(['', '40 posts']);
  await visit.set(low!, '30');
  expect([visit.address, visit.count]).toEqual(['minutes=50/..', '28 posts of 40']);
  expect(low!.getAttribute('aria-valuetext')).toBe('50');
});

test('a thumb never passes the other; at its own end it asks for nothing', async () => {
  visit = await Visit.to([minutes]);
  const [low, high] = visit.all<HTMLInputElement>('.ivy-thumb');
  await visit.set(high!, '30');
  expect(visit.address).toBe('minutes=../50');
  await visit.set(low!, '80');
  expect([low!.value, visit.address]).toEqual(['30', 'minutes=50/50']);
  await visit.set(low!, '0');
  await visit.set(high!, '90');
  expect(visit.address).toBe('');
});

test('a slider of steps of one’s own stops at them', async () => {
  visit = await Visit.to([{ ...minutes, step: 30 }]);
  const [low] = visit.all<HTMLInputElement>('.ivy-thumb');
  expect(low!.max).toBe('3');
  await visit.set(low!, '1');
  expect(visit.address).toBe('minutes=50/..');
});

test('days are typed as days, or as a month or a year alone', async () => {
  visit = await Visit.to([day]);
  await visit.set('From', '2026');
  expect([visit.address, visit.count]).toEqual(['day=2026-01-01/..', '16 posts of 40']);
  await visit.set('To', '2026-02');
  expect([visit.address, visit.count]).toEqual(['day=2026-01-01/2026-02-28', '4 posts of 40']);
  expect(visit.words('.ivy-chip')).toEqual(['Jan 1 – Feb 28, 2026']);
});

test('what is no day stays in the box, marked, and asks for nothing', async () => {
  visit = await Visit.to([day]);
  for (const wrong of ['spring', '2026-02-30', '2026-13', '31.2.2026']) {
    await visit.set('From', wrong);
    const box = visit.box('From');
    expect([box.value, box.getAttribute('aria-invalid'), visit.address]).toEqual([wrong, 'true', '']);
    expect(visit.words('.ivy-bad')[0]).toBe(`“${wrong}” is no day. Write it like 01/03/2025.`);
  }
  // the other end can be set meanwhile, and takes nothing of it away
  await visit.set('To', '2026-02');
  expect([visit.box('From').value, visit.address]).toEqual(['31.2.2026', 'day=../2026-02-28']);
  await visit.set('From', '2026-01-01');
  expect([visit.box('From').getAttribute('aria-invalid'), visit.words('.ivy-bad')]).toEqual(['false', []]);
  await visit.set('From', 'spring');
  await visit.press('Clear Day');
  expect([visit.box('From').value, visit.address]).toEqual(['', '']);
});

test('days are typed in the ways people write them', async () => {
  visit = await Visit.to([day]);
  for (const typed of ['18.5.2026', 'May 18, 2026', '5/18/2026', '18 may 2026']) {
    await visit.set('From', '');
    await visit.set('From', typed);
    expect([typed, visit.address]).toEqual([typed, 'day=2026-05-18/..']);
  }
});

test('the calendar sets an end as the box does, within what there is', async () => {
  visit = await Visit.to([day]);
  const [from] = visit.all<HTMLInputElement>('.ivy-picker');
  expect([from!.min, from!.max]).toEqual(['2025-01-03', '2026-08-20']);
  await visit.set(from!, '2026-03-01');
  expect(visit.address).toBe('day=2026-03-01/..');
});

test('thumbs over days go from bar to bar', async () => {
  visit = await Visit.to([day]);
  const [low, high] = visit.all<HTMLInputElement>('.ivy-thumb');
  const steps = Number(low!.max);
  expect(steps).toBe(bars().length);
  await visit.set(low!, '1');
  await visit.set(high!, '2');
  expect(visit.address).toMatch(/^day=2025-\d\d-01\/2025-\d\d-\d\d$/);
  expect(inSight()).toBe(1);
});

test('one day is one box', async () => {
  visit = await Visit.to([{ ...day, pick: 'day' }]);
  expect(visit.all('.ivy-ends, .ivy-thumb')).toEqual([]);
  await visit.set('Day', '2026-01-03');
  expect([visit.address, visit.count]).toEqual(['day=2026-01-03/2026-01-03', '1 post of 40']);
  await visit.set('Day', '');
  expect(visit.address).toBe('');
});

test('a preset is pressed, shows that it is on, and is taken back by a press', async () => {
  visit = await Visit.to([{ ...day, presets: [{ label: 'Last year', range: '2025' }] }]);
  const isOn = () => visit.named('Last year').getAttribute('aria-pressed');
  await visit.press('Last year');
  expect([visit.count, isOn()]).toEqual(['24 posts of 40', 'true']);
  await visit.press('Last year');
  expect([visit.count, isOn()]).toEqual(['40 posts', 'false']);
});

test('one of several has a way back to all, and lets go by a second press or by Space', async () => {
  visit = await Visit.to([{ key: 'kind', kind: 'radios', field: 'kind' }]);
  const radios = () => visit.all<HTMLInputElement>('.ivy-tick input');
  expect(visit.words('.ivy-tick')[0]).toBe('All');
  expect(radios()[0]!.checked).toBe(true);
  for (const letGo of [
    () => radios()[0]!.click(),
    () => radios()[2]!.click(),
    () => radios()[2]!.dispatchEvent(new KeyboardEvent('keydown', { key: ' ', bubbles: true, cancelable: true })),
  ]) {
    radios()[2]!.click();
    await visit.settle();
    expect([visit.address, radios()[2]!.checked]).toEqual(['kind=count', true]);
    letGo();
    await visit.settle();
    expect([visit.address, radios()[0]!.checked]).toEqual(['', true]);
  }
});

test('ids and groups bear the listing and its prefix, so that two listings on a page do not meet', async () => {
  visit = await Visit.to([{ key: 'kind', kind: 'radios', field: 'kind' }], { address: { prefix: 'b-' } });
  expect(visit.all<HTMLInputElement>('.ivy-tick input')[0]!.name).toBe('ivy-walks-b-kind-one');
  expect(visit.all('.ivy-facet-body')[0]!.id).toBe('ivy-walks-b-kind-body');
});

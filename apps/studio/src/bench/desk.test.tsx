import { act, createRef, useState } from 'react';
import { BesideServer } from '../../test/beside-server.js';
import { lensOf } from '../../test/lens-of.js';
import { Desk, type DeskState } from './desk.js';

/** The room there is for the page, as the browser would tell it. */
let tellRoom: (width: number, height: number) => void;
class Watcher {
  constructor(tell: (entries: { contentRect: { width: number; height: number } }[]) => void) {
    tellRoom = (width, height) => act(() => tell([{ contentRect: { width, height } }]));
  }
  observe(): void {
    // a test tells when there is another room
  }
  disconnect(): void {
    // nothing is watched
  }
}
globalThis.ResizeObserver = Watcher as unknown as typeof ResizeObserver;

const page = new BesideServer();
beforeEach(() => {
  page.open();
  // the browser of these tests goes nowhere, and says so each time a page is to be loaded
  const report = console.error;
  jest.spyOn(console, 'error').mockImplementation((...words: unknown[]) => {
    if (!String(words[0]).includes('navigation')) report(...words);
  });
});
afterEach(() => {
  page.close();
  jest.restoreAllMocks();
});

interface Asked {
  states: DeskState[];
  gone: string[];
  layouts: number;
  flags: [string, number][];
}
const asked: Asked = { states: [], gone: [], layouts: 0, flags: [] };
function OnDesk(
  props: Omit<Parameters<typeof Desk>[0], 'width' | 'onWidth' | 'lens' | 'isDark' | 'onFlag' | 'onDark'>,
) {
  const [width, setWidth] = useState(834);
  const flags = (flag: string, at: number) => asked.flags.push([flag, Math.round(at)]);
  const rest = { lens: lensOf({}), isDark: false, onFlag: flags, onDark: () => {} };
  return <Desk {...props} {...rest} width={width} onWidth={setWidth} />;
}

function drawn({ state = 'live', address = '' }: { state?: DeskState; address?: string } = {}): typeof asked {
  Object.assign(asked, { states: [], gone: [], layouts: 0, flags: [] });
  page.draw(
    <OnDesk
      slug="notes"
      name="Field notes"
      frame={createRef<HTMLIFrameElement>()}
      state={state}
      address={address}
      language="en"
      saves={0}
      onState={(next) => asked.states.push(next)}
      onGo={(next) => asked.gone.push(next)}
      onLayout={countLayout}
    />,
  );
  return asked;
}
const countLayout = () => {
  asked.layouts++;
};

const frame = () => page.element.querySelector('iframe')!;
const drawnAt = () => [frame().style.width, frame().style.transform];
const edge = () => page.element.querySelector<HTMLElement>('[role=separator]')!;
const press = (key: string) => {
  const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true });
  act(() => void edge().dispatchEvent(event));
  return event.defaultPrevented;
};

test('the page stands at the width of a tablet, as large as fits', () => {
  drawn();
  tellRoom(756, 600);
  expect(drawnAt()).toEqual(['834px', `scale(${720 / 834})`]);
  expect(page.named('Tablet 834').getAttribute('aria-pressed')).toBe('true');
  tellRoom(1600, 600);
  expect(drawnAt()).toEqual(['834px', 'scale(1)']);
});

test('a phone and a desktop are one press away, and what depends on the layout hears of it', () => {
  const { layouts: before } = drawn();
  tellRoom(1000, 600);
  page.press('Phone 390');
  expect(drawnAt()).toEqual(['390px', 'scale(1)']);
  page.press('Desktop 1280');
  expect(drawnAt()).toEqual(['1280px', `scale(${964 / 1280})`]);
  expect(asked.layouts).toBeGreaterThan(before + 2);
});

test('a zoom of one’s own is kept whatever room there is', () => {
  drawn();
  tellRoom(756, 600);
  expect(page.texts('select[aria-label=Zoom] option')).toEqual(['to fit, 86 %', '100 %', '75 %', '50 %']);
  page.type('Zoom', '0.5');
  expect(drawnAt()).toEqual(['834px', 'scale(0.5)']);
  tellRoom(300, 600);
  expect(drawnAt()).toEqual(['834px', 'scale(0.5)']);
});

test('the edge is moved by the keyboard, no further than pages are wide', () => {
  drawn();
  tellRoom(1000, 600);
  expect(press('ArrowRight')).toBe(true);
  expect(edge().getAttribute('aria-valuenow')).toBe('844');
  expect(page.words).toContain('844 wide');
  press('PageDown');
  press('ArrowLeft');
  expect(edge().getAttribute('aria-valuenow')).toBe('734');
  for (let i = 0; i < 10; i++) press('PageDown');
  expect(edge().getAttribute('aria-valuenow')).toBe('280');
  for (let i = 0; i < 20; i++) press('PageUp');
  expect(edge().getAttribute('aria-valuenow')).toBe('1920');
  // other keys are left to the browser
  expect(press('Tab')).toBe(false);
});

test.each([
  // a page with room on both sides grows to both, so its edge moves half as far
  [1000, 40, 914],
  // one that fills the room grows to one side, drawn smaller than it is
  [756, 72, Math.round(834 + 72 / (720 / 834))],
])('in a room of %d the edge pulled by %d makes the page %d wide', (room, by, width) => {
  drawn();
  tellRoom(room, 600);
  edge().setPointerCapture = () => {};
  const point = (type: string, clientX: number) =>
    act(() => void edge().dispatchEvent(new MouseEvent(type, { clientX, bubbles: true })));
  point('pointermove', 300);
  expect(edge().getAttribute('aria-valuenow')).toBe('834');
  point('pointerdown', 500);
  expect(frame().style.pointerEvents).toBe('none');
  point('pointermove', 500 + by);
  expect(edge().getAttribute('aria-valuenow')).toBe(String(width));
  point('pointerup', 500 + by);
  expect(frame().style.pointerEvents).toBe('auto');
  point('pointermove', 900);
  expect(edge().getAttribute('aria-valuenow')).toBe(String(width));
});

test('every state of the page can be picked', () => {
  const { states } = drawn();
  expect(page.texts('select[aria-label="State of the page"] option')).toEqual([
    'as addressed',
    'at the first visit',
    'with nothing found',
    'while loading',
    'when loading failed',
    'without scripts',
  ]);
  page.type('State of the page', 'plain');
  expect(states).toEqual(['plain']);
});

test('without scripts the saved draft stands in front, and the live page is out of reach', () => {
  drawn({ state: 'plain', address: 'kind=walk' });
  expect([...page.element.querySelectorAll('iframe')].map((one) => [one.title, one.hasAttribute('inert')])).toEqual([
    ['Live page of Field notes', true],
    ['Page of Field notes without scripts', false],
  ]);
  expect(page.element.querySelectorAll('iframe')[1]!.getAttribute('sandbox')).toBe('allow-forms allow-same-origin');
});

describe('in the page without scripts', () => {
  /** Stands in for what the server would have sent. */
  function sent(html: string): Document {
    drawn({ state: 'plain' });
    const plain = page.element.querySelectorAll('iframe')[1]!;
    plain.contentDocument!.body.innerHTML = html;
    act(() => void plain.dispatchEvent(new Event('load')));
    return plain.contentDocument!;
  }
  const click = (sheet: Document, selector: string, held = {}) => {
    const event = new MouseEvent('click', { bubbles: true, cancelable: true, ...held });
    sheet.querySelector(selector)!.dispatchEvent(event);
    return event.defaultPrevented;
  };

  test('links within the listing lead the Bench, those to elsewhere lead nowhere', () => {
    const sheet = sent(
      '<a class="one" href="/l/notes/draft?kind=walk"><b>Walks</b></a><a class="two" href="/away">x</a>',
    );
    expect(click(sheet, '.one b')).toBe(true);
    expect(click(sheet, '.two')).toBe(true);
    expect(asked.gone).toEqual(['kind=walk']);
    // a new tab is the browser's to open
    expect(click(sheet, '.one', { ctrlKey: true })).toBe(false);
  });

  test('its form leads where the server sends it', async () => {
    const sheet = sent('<form><input name="q" value="tern"><input name="kind" value="walk"></form>');
    let asking = '';
    globalThis.fetch = ((url: string) => {
      asking = url;
      return Promise.resolve({ url: 'http://localhost/l/notes/draft?kind=walk&q=tern' } as Response);
    }) as typeof fetch;
    sheet.querySelector('form')!.dispatchEvent(new Event('submit', { bubbles: true, cancelable: true }));
    await page.settle();
    expect(asking).toBe('/l/notes/draft?q=tern&kind=walk');
    expect(asked.gone).toEqual(['kind=walk&q=tern']);
  });

  test('where the server does not answer, what was sent is not lost', async () => {
    const sheet = sent('<form><input name="q" value="tern"></form>');
    sheet.querySelector('form')!.dispatchEvent(new Event('submit', { bubbles: true, cancelable: true }));
    await page.settle();
    expect(asked.gone).toEqual(['q=tern']);
  });
});

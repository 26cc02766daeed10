import { act, createRef, type RefObject } from 'react';
import { OnPage } from '../../test/on-page.js';
import { BudgetLine } from './budget-line.js';

const page = new OnPage();
let asked: string[];
beforeEach(() => {
  jest.useFakeTimers();
  page.open();
  asked = [];
  globalThis.fetch = ((path: string) => {
    asked.push(path);
    return Promise.resolve({ ok: true, arrayBuffer: () => Promise.resolve(new ArrayBuffer(1)) });
  }) as unknown as typeof fetch;
});
afterEach(() => {
  page.close();
  jest.useRealTimers();
});

/** A live page with pictures, of which the browser was told the sizes. */
function frameWith(pictures: { src: string; sent: number; shown: number }[], sizes: Record<string, number>) {
  const sheet = document.implementation.createHTMLDocument();
  for (const { src, sent, shown } of pictures) {
    const image = sheet.body.appendChild(sheet.createElement('img'));
    Object.defineProperties(image, {
      complete: { value: true },
      currentSrc: { value: src },
      naturalWidth: { value: sent },
      getBoundingClientRect: { value: () => ({ width: shown }) },
    });
  }
  const told = (name: string) => {
    const part = Object.keys(sizes).find((one) => name.includes(one));
    return part === undefined ? [] : [{ encodedBodySize: sizes[part] }];
  };
  Object.defineProperty(performance, 'getEntriesByName', { configurable: true, value: told });
  return { current: { contentWindow: { document: sheet, performance } } } as unknown as RefObject<HTMLIFrameElement>;
}

async function weighed(frame: RefObject<HTMLIFrameElement | null>, address = ''): Promise<string> {
  page.draw(<BudgetLine slug="notes" frame={frame} address={address} saves={0} width={834} />);
  await act(() => jest.advanceTimersByTimeAsync(1000));
  return page.element.textContent.replace(/\s+/g, ' ');
}

test('script, data, pictures and requests are told once the page is at rest', async () => {
  const frame = frameWith([{ src: '/a.jpg', sent: 320, shown: 300 }], {
    'ivy-lens.js': 27_000,
    '/draft/listing/': 4_000,
    '/a.jpg': 40_000,
  });
  expect(await weighed(frame, 'kind=survey')).toBe('Page weighs 71 kBscript 27 kBdata 4 kB1 picture 40 kB3 requests');
  expect(asked).toEqual(['/api/v1/lenses/notes/draft/listing/nothing?kind=survey']);
});

test('a picture sent far wider than it is shown stands out; what the browser was not told is said to be so', async () => {
  const frame = frameWith([{ src: '/far.jpg', sent: 1600, shown: 200 }], { 'ivy-lens.js': 27_000 });
  expect(await weighed(frame)).toBe(
    'Page weighs 27 kB and morescript 27 kBdata …1 picture untoldshown at 200, sent at 1600' + '3 requests',
  );
});

test('before anything is known the line is there, and empty', () => {
  page.draw(<BudgetLine slug="notes" frame={createRef()} address="" saves={0} width={834} />);
  expect(page.element.textContent).toBe('');
});

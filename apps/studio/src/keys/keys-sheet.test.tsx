import { act } from 'react';
import { openDialogs } from '../../test/dialogs.js';
import { OnPage } from '../../test/on-page.js';
import { keyTable } from './key-table.js';
import { KeysSheet } from './keys-sheet.js';
import { useKeys } from './use-keys.js';

const page = new OnPage();
beforeEach(() => {
  openDialogs();
  page.open();
});
afterEach(() => page.close());

test('the sheet names every key of where one is, and no other', () => {
  page.draw(<KeysSheet path="/sources/notes" onClose={() => undefined} />);
  const said = page.texts('dd');
  expect(said).toEqual(
    Object.values(keyTable)
      .filter(({ place }) => place === 'everywhere' || place === 'tray')
      .map(({ does }) => does),
  );
});

test('keys are heard wherever nobody types, and those of the palette there too', () => {
  const heard: string[] = [];
  function Place() {
    useKeys(['bench', 'everywhere', 'steps'], {
      hide: () => heard.push('hide'),
      palette: () => heard.push('palette'),
      undo: () => heard.push('undo'),
    });
    return (
      <>
        <button type="button">Here</button>
        <input type="checkbox" aria-label="Tick" />
        <input aria-label="Box" />
        <select aria-label="List" />
        <dialog>
          <button type="button">Inside</button>
        </dialog>
      </>
    );
  }
  page.draw(<Place />);
  const press = (name: string, key: string, held: object = {}) => {
    const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...held });
    act(() => void page.named(name).dispatchEvent(event));
    return event.defaultPrevented;
  };
  const command = { ctrlKey: true };
  expect(['Here', 'Tick'].map((name) => press(name, 'h'))).toEqual([true, true]);
  expect(['Box', 'List', 'Inside'].map((name) => press(name, 'h'))).toEqual([false, false, false]);
  expect([press('Box', 'k', command), press('Box', 'z', command), press('Here', 'z', command)]).toEqual([
    true,
    false,
    true,
  ]);
  expect(press('Here', 'x')).toBe(false);
  expect(heard).toEqual(['hide', 'hide', 'palette', 'undo']);
});

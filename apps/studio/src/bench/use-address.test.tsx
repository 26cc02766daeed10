import { act } from 'react';
import { MemoryRouter } from 'react-router';
import { OnPage } from '../../test/on-page.js';
import { useAddress, type Go } from './use-address.js';

const page = new OnPage();
let go: Go;

function Looks() {
  const at = useAddress();
  return (
    <>
      <p>{at.address}</p>
      <button type="button" ref={() => void (go = at.go)} />
    </>
  );
}

beforeEach(() => {
  page.open();
  page.draw(
    <MemoryRouter initialEntries={['/?habitat=mudfat']}>
      <Looks />
    </MemoryRouter>,
  );
});
afterEach(() => page.close());
const address = () => page.texts('p')[0];

test('what the live page makes of an address takes its place', () => {
  act(() => expect(go('', 'replace', 'habitat=mudfat')).toBe(true));
  expect(address()).toBe('');
});

test('one who has gone on meanwhile is not taken back, drawn there or not', () => {
  act(() => {
    go('habitat=mudflat');
    // said of the address before, while the page still stands there
    expect(go('', 'replace', 'habitat=mudfat')).toBe(false);
  });
  expect(address()).toBe('habitat=mudflat');
  act(() => expect(go('', 'replace', 'habitat=mudfat')).toBe(false));
  expect(address()).toBe('habitat=mudflat');
  act(() => expect(go('habitat=mudflat&page=2', 'replace', 'habitat=mudflat')).toBe(true));
  expect(address()).toBe('habitat=mudflat&page=2');
});

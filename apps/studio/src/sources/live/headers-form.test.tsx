import { useState } from 'react';
import { OnPage } from '../../../test/on-page.js';
import { HeadersForm, headersOf, type Written } from './headers-form.js';

const page = new OnPage();
beforeEach(() => page.open());
afterEach(() => page.close());

let last: Written = [];
function Form() {
  const [written, setWritten] = useState<Written>([]);
  const change = (now: Written) => {
    last = now;
    setWritten(now);
  };
  return <HeadersForm written={written} onChange={change} />;
}

test('headers are written, each taken out again by itself, and what they say is not to be read', () => {
  page.draw(<Form />);
  page.press('A header, such as a key');
  page.press('A header, such as a key');
  page.type('Name of header 1', 'Authorization');
  page.type('What header 1 says', 'Bearer abc');
  page.type('Name of header 2', ' X-Key ');
  page.type('What header 2 says', '7');
  expect(headersOf(last)).toEqual({ Authorization: 'Bearer abc', 'X-Key': '7' });
  expect(page.named<HTMLInputElement>('What header 1 says').type).toBe('password');
  page.press('Take header 1 out');
  expect(headersOf(last)).toEqual({ 'X-Key': '7' });
  expect(page.named<HTMLInputElement>('Name of header 1').value).toBe(' X-Key ');
});

test('one without a name is none', () => {
  expect(headersOf([{ name: '  ', text: 'lost' }])).toEqual({});
});

import { column, json, times, type Case } from './case.js';

/** Texts, links and pictures, and what JSON brings. */
export const texts: Record<string, Case> = {
  // texts, links, pictures
  'markup in some texts': {
    file: column('note', [...times(5, 'plain words that go on'), '<b>bold</b> words']),
    found: ['markup in note'],
  },
  'a body with markup': {
    file: column('body', ['<p>One</p>', '<p>Two <b>b</b></p>']),
    is: { body: 'html as body' },
    not: ['markup in body'],
  },
  'characters in code': {
    file: column('note', ['Tea &amp; cake at noon', 'plain words that go on']),
    found: ['entities in note'],
  },
  'links without a beginning': {
    file: column('url', [...Array.from({ length: 5 }, (_, i) => `https://example.org/${i}`), 'www.example.org/x']),
    found: ['not-links in url'],
  },
  'a link that would run a script': {
    file: column('url', [...Array.from({ length: 5 }, (_, i) => `https://example.org/${i}`), 'javascript:alert(1)']),
    found: ['not-links in url'],
    read: ['url', [...Array.from({ length: 5 }, (_, i) => `https://example.org/${i}`), undefined]],
  },
  'pictures that are missing': {
    file: column('image', ['/a.jpg', '', '/b.jpg']),
    found: ['missing-pictures in image'],
  },
  'pictures far too wide': {
    file: column('image', ['/a-4000x3000.jpg', '/b-600x400.jpg']),
    found: ['big-pictures in image'],
  },
  'mail addresses': { file: column('contact', ['ann@example.org', 'bo@example.org']), is: { contact: 'left out' } },
  'telephone numbers': { file: column('phone', ['+49 40 1234567', '+49 40 7654321']), is: { phone: 'left out' } },
  // what JSON brings
  'lists of names': {
    file: json([
      { id: 1, title: 'A', tags: ['x', 'y'] },
      { id: 2, title: 'B', tags: ['y'] },
    ]),
    is: { tags: 'terms' },
  },
  'lists of objects with names': {
    file: json([
      { id: 1, title: 'A', kinds: [{ name: 'Mud', id: 3 }] },
      {
        id: 2,
        title: 'B',
        kinds: [
          { name: 'Reed', id: 4 },
          { name: 'Mud', id: 3 },
        ],
      },
    ]),
    read: ['kinds', [['mud'], ['reed', 'mud']]],
  },
  'lists of objects without names': {
    file: json([
      {
        id: 1,
        title: 'A',
        kinds: [
          { de: 'Watt', code: 'w' },
          { de: 'Ried', code: 'r' },
        ],
      },
      { id: 2, title: 'B', kinds: [{ de: 'Ried', code: 'r' }] },
    ]),
    is: { kinds: 'terms by its de' },
    found: ['unclear-key in kinds'],
  },
  'objects that name what is above them': {
    file: json([
      { id: 1, title: 'A', topic: { name: 'Mud', parent: { name: 'Shore' } } },
      { id: 2, title: 'B', topic: { name: 'Reed' } },
    ]),
    is: { topic: 'terms nested' },
    read: ['topic', [['mud'], ['reed']]],
  },
  'lists of one day each': {
    file: json([
      { id: 1, title: 'A', days: ['2026-03-05'] },
      { id: 2, title: 'B', days: ['2026-03-06'] },
    ]),
    is: { days: 'date as published' },
  },
  'lists of one number each': {
    file: json([
      { id: 1, title: 'A', n: [3] },
      { id: 2, title: 'B', n: [4.5] },
    ]),
    is: { n: 'number' },
    read: ['n', [3, 4.5]],
  },
  'lists of several days': {
    file: json([
      { id: 1, title: 'A', days: ['2026-03-05', '2026-03-07'] },
      { id: 2, title: 'B', days: ['2026-03-05'] },
    ]),
    is: { days: 'terms' },
  },
  'numbers written as text': {
    file: json([
      { id: 1, title: 'A', n: '3' },
      { id: 2, title: 'B', n: 4 },
    ]),
    is: { n: 'number' },
  },
  'fields that some lack': {
    file: json([
      { id: 1, title: 'A' },
      { id: 2, title: 'B', kind: 'x' },
      { id: 3, title: 'C', kind: 'x' },
    ]),
    found: ['gaps in kind'],
  },
  'a field called like what all objects have': {
    file: json([
      { id: 1, title: 'A', constructor: 'x' },
      { id: 2, title: 'B', constructor: 'x' },
    ]),
    is: { constructor: 'terms' },
  },
};

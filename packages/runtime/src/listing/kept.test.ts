import { isMarksChange, keepFolds, keepMarks, readFolds, readMarks } from './kept.js';

beforeEach(() => localStorage.clear());

test('what is folded is kept by listing, and marks by source', () => {
  keepFolds('notes', new Map([['kind', true]]));
  keepMarks('orrin', new Set(['n-1', 'n-2']));
  expect([...readFolds('notes')]).toEqual([['kind', true]]);
  expect([...readFolds('others')]).toEqual([]);
  expect([...readMarks('orrin')]).toEqual(['n-1', 'n-2']);
  expect(readMarks('others').size).toBe(0);
});

test.each(['', 'no json', 'null', '7', '{"folds":null}', '{"folds":{"a":"yes"}}'])(
  '%j in the store is nothing',
  (text) => {
    localStorage.setItem('ivy-lens:notes', text);
    localStorage.setItem('ivy-lens-marked:orrin', text);
    expect(readFolds('notes').size).toBe(0);
    expect(readMarks('orrin').size).toBe(0);
  },
);

test('a store that is forbidden or full only forgets', () => {
  const refuse = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
    throw new Error('QuotaExceededError');
  });
  expect(() => keepFolds('notes', new Map([['kind', true]]))).not.toThrow();
  expect(() => keepMarks('orrin', new Set(['n-1']))).not.toThrow();
  refuse.mockRestore();
  expect(readMarks('orrin').size).toBe(0);
});

test('a mark made in another tab is distinguished from all else that is kept', () => {
  expect(isMarksChange(new StorageEvent('storage', { key: 'ivy-lens-marked:orrin' }), 'orrin')).toBe(true);
  expect(isMarksChange(new StorageEvent('storage', { key: 'ivy-lens-marked:orrin' }), 'others')).toBe(false);
});

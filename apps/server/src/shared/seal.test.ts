import { randomBytes } from 'node:crypto';
import { seal, unseal } from './seal.js';

const key = randomBytes(32);

test('what is sealed is read by its key alone', () => {
  const sealed = seal('Bearer möwe', key);
  expect(sealed.toString('latin1')).not.toContain('Bearer');
  expect(unseal(sealed, key)).toBe('Bearer möwe');
  expect(unseal(sealed, randomBytes(32))).toBeNull();
});

test('what was changed since is not read, and the same text is sealed otherwise each time', () => {
  const sealed = seal('key', key);
  sealed[sealed.length - 1]! ^= 1;
  expect(unseal(sealed, key)).toBeNull();
  expect(unseal(Buffer.from('short'), key)).toBeNull();
  expect(seal('key', key).equals(seal('key', key))).toBe(false);
});

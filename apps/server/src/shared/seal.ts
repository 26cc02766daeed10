import { createCipheriv, createDecipheriv, randomBytes } from 'node:crypto';

/** Bytes of the vector and of the tag that go with what is sealed by AES-256-GCM. */
const [vectorBytes, tagBytes] = [12, 16];

/** Seals a text, so that whoever reads the database alone can't read it. @param key  32 bytes */
export function seal(text: string, key: Buffer): Buffer {
  const vector = randomBytes(vectorBytes);
  const cipher = createCipheriv('aes-256-gcm', key, vector);
  const body = Buffer.concat([cipher.update(text, 'utf8'), cipher.final()]);
  return Buffer.concat([vector, cipher.getAuthTag(), body]);
}

/** @returns null for what was sealed by another key, or changed since */
export function unseal(sealed: Buffer, key: Buffer): string | null {
  try {
    const vector = sealed.subarray(0, vectorBytes);
    const decipher = createDecipheriv('aes-256-gcm', key, vector);
    decipher.setAuthTag(sealed.subarray(vectorBytes, vectorBytes + tagBytes));
    return Buffer.concat([decipher.update(sealed.subarray(vectorBytes + tagBytes)), decipher.final()]).toString('utf8');
  } catch {
    return null;
  }
}

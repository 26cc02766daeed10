import { promisify } from 'node:util';
import { gzip } from 'node:zlib';

const pack = promisify(gzip);

/** A body as it is sent: plain, and packed for all who can read that. */
export interface ResponseBody {
  plain: Buffer;
  gzip: Buffer;
}

/** Bytes up to which a body is packed with less room to look back in: to make room takes longer than to pack it. */
const small = 16 * 1024;
const forSmall = { level: 2, windowBits: 13, memLevel: 7, chunkSize: 8192 };
const forLarge = { level: 5 };

/** Writes a body out. It is packed off the main thread. */
export async function writeBody(body: object): Promise<ResponseBody> {
  const plain = Buffer.from(JSON.stringify(body));
  return { plain, gzip: await pack(plain, plain.length <= small ? forSmall : forLarge) };
}

/** Bodies that were asked for lately, up to a size; the one not asked for longest goes first. */
export class ResponseCache {
  readonly #kept = new Map<string, ResponseBody>();
  #bytes = 0;

  /** @param mostBytes  of all bodies together */
  constructor(private readonly mostBytes: number) {}

  get(name: string): ResponseBody | undefined {
    const found = this.#kept.get(name);
    if (found) {
      // a map keeps the order things were put in: what is put again stands last
      this.#kept.delete(name);
      this.#kept.set(name, found);
    }
    return found;
  }

  put(name: string, answer: ResponseBody): void {
    this.#drop(name);
    this.#kept.set(name, answer);
    this.#bytes += sizeOf(name, answer);
    for (const oldest of this.#kept.keys()) {
      if (this.#bytes <= this.mostBytes) break;
      this.#drop(oldest);
    }
  }

  #drop(name: string): void {
    const found = this.#kept.get(name);
    if (!found) return;
    this.#kept.delete(name);
    this.#bytes -= sizeOf(name, found);
  }
}

function sizeOf(name: string, { plain, gzip: packed }: ResponseBody): number {
  return name.length * 2 + plain.length + packed.length;
}

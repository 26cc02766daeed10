import { Logger } from '@nestjs/common';
import { Client } from 'pg';

/** Milliseconds. */
const connectWithin = 2_000;
const answerWithin = 3_000;
const beatEvery = 5_000;
const shortestPause = 100;
const longestPause = 2_000;

/** How the line is: up, or why not. */
export type LineState = { up: true } | { up: false; reason: string };

/**
 * One connection to PostgreSQL that listens on a channel and is made again whenever it breaks: one attempt at a time, with
 * growing pauses, each that failed taken down again. A line that is up but silent (a frozen database, a cable pulled out)
 * is found by a heartbeat.
 */
export class Line {
  readonly #log = new Logger('Line');
  #client: Client | undefined;
  #reason = 'It was not reached yet.';
  #ping: Promise<unknown> | undefined;
  #closed = false;
  #wake: () => void = () => {};

  /**
   * @param heard  called with each message of the channel
   * @param back   called when the line is up again after it was lost: what was said meanwhile is not known
   */
  constructor(
    private readonly url: string,
    private readonly channel: string,
    private readonly heard: (message: string) => void,
    private readonly back: () => void,
  ) {}

  /** Connects, and keeps the line up from then on. */
  async open(): Promise<void> {
    await this.#connect();
    void this.#keepUp();
  }

  async close(): Promise<void> {
    this.#closed = true;
    this.#wake();
    if (this.#client) await takeDown(this.#client);
  }

  /** Whether PostgreSQL answers over this line within some milliseconds, and if not, why. */
  async state(within: number): Promise<LineState> {
    const client = this.#client;
    if (!client) return { up: false, reason: this.#reason };
    const ping = this.#ask(client);
    let timer: NodeJS.Timeout | undefined;
    const late = new Promise<LineState>((done) => {
      timer = setTimeout(() => done({ up: false, reason: `It has not answered for ${within} ms.` }), within);
    });
    const answer = ping.then(
      (): LineState => ({ up: true }),
      (error: unknown): LineState => ({ up: false, reason: wordsOf(error) }),
    );
    return Promise.race([answer, late]).finally(() => clearTimeout(timer));
  }

  async #connect(): Promise<void> {
    const client = new Client({
      connectionString: this.url,
      application_name: 'ivy-lens changes',
      connectionTimeoutMillis: connectWithin,
      query_timeout: answerWithin,
      keepAlive: true,
    });
    // a client without anyone to hear its errors ends the process
    client.on('error', (error) => (this.#reason = wordsOf(error)));
    client.on('notification', ({ payload }) => {
      if (payload) this.heard(payload);
    });
    try {
      await client.connect();
      await client.query(`LISTEN ${client.escapeIdentifier(this.channel)}`);
    } catch (error) {
      this.#reason = wordsOf(error);
      await takeDown(client);
      throw error;
    }
    if (this.#closed) await takeDown(client);
    else this.#client = client;
  }

  async #keepUp(): Promise<void> {
    for (;;) {
      if (this.#client) await this.#untilLost(this.#client);
      this.#client = undefined;
      if (this.#closed) return;
      this.#log.warn(`Lost the line to PostgreSQL: ${this.#reason}`);
      for (let failures = 0; !this.#closed && !this.#client; failures++) {
        const pause = Math.min(longestPause, shortestPause * 2 ** failures);
        // with jitter, so that many processes do not all come at once
        await this.#sleep(pause / 2 + (Math.random() * pause) / 2);
        if (this.#closed) return;
        await this.#connect().catch(() => {});
      }
      if (this.#closed) return;
      this.#log.warn('The line to PostgreSQL is up again.');
      this.back();
    }
  }

  /** Done when a connection is gone; one that does not answer any more is taken down. */
  async #untilLost(client: Client): Promise<void> {
    let isGone = false;
    client.once('end', () => {
      isGone = true;
      this.#wake();
    });
    while (!isGone && !this.#closed) {
      await this.#sleep(beatEvery);
      if (isGone || this.#closed) break;
      try {
        await this.#ask(client);
      } catch (error) {
        this.#reason = wordsOf(error);
        break;
      }
    }
    this.#ping = undefined;
    await takeDown(client);
  }

  /** One question at a time goes over the line, however many want to know. */
  #ask(client: Client): Promise<unknown> {
    const ping = (this.#ping ??= client.query('SELECT 1').finally(() => {
      if (this.#ping === ping) this.#ping = undefined;
    }));
    return ping;
  }

  #sleep(ms: number): Promise<void> {
    return new Promise((done) => {
      const timer = setTimeout(done, ms);
      timer.unref();
      this.#wake = () => {
        clearTimeout(timer);
        done();
      };
    });
  }
}

/** Ends a connection, politely if the other side still listens. */
async function takeDown(client: Client): Promise<void> {
  const { stream } = (client as unknown as { connection: { stream: { destroy(): void } } }).connection;
  const late = setTimeout(() => stream.destroy(), 500);
  try {
    await client.end();
  } catch {
    // it is gone already
  } finally {
    clearTimeout(late);
    stream.destroy();
  }
}

function wordsOf(error: unknown): string {
  const { message, code } = error as { message?: string; code?: string };
  return `It said: ${message || code || String(error)}.`;
}

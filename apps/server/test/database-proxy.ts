import { createServer, connect, type Server, type Socket } from 'node:net';

/** Stands between a server and its database, and can be away or silent. */
export class DatabaseProxy {
  readonly #server: Server;
  readonly #pairs = new Set<{ near: Socket; far: Socket }>();
  #mode: 'open' | 'away' | 'silent' = 'open';
  /** Connections that were tried while it was away or silent. */
  tried = 0;

  private constructor(private readonly to: URL) {
    this.#server = createServer((near) => this.#join(near));
  }

  static async before(databaseUrl: string): Promise<DatabaseProxy> {
    const proxy = new DatabaseProxy(new URL(databaseUrl));
    await new Promise<void>((done) => proxy.#server.listen(0, '127.0.0.1', done));
    return proxy;
  }

  /** Where the database is, through the proxy. */
  get url(): string {
    const { port } = this.#server.address() as { port: number };
    return Object.assign(new URL(this.to), { port: String(port) }).href;
  }

  /** Connections that are open. */
  get open(): number {
    return this.#pairs.size;
  }

  /** Every connection breaks, and new ones are refused. */
  goAway(): void {
    this.#mode = 'away';
    for (const { near, far } of this.#pairs) {
      near.destroy();
      far.destroy();
    }
  }

  /** Connections stay and new ones are taken, but nothing comes over them. */
  fallSilent(): void {
    this.#mode = 'silent';
    for (const { near, far } of this.#pairs) {
      near.pause();
      far.pause();
    }
  }

  comeBack(): void {
    this.#mode = 'open';
    for (const { near, far } of this.#pairs) {
      near.resume();
      far.resume();
    }
  }

  async close(): Promise<void> {
    this.goAway();
    await new Promise((done) => this.#server.close(done));
  }

  #join(near: Socket): void {
    if (this.#mode !== 'open') this.tried++;
    near.on('error', () => {});
    if (this.#mode === 'away') return void near.destroy();
    const far = connect(Number(this.to.port), this.to.hostname);
    const pair = { near, far };
    this.#pairs.add(pair);
    far.on('error', () => near.destroy());
    near.on('close', () => {
      far.destroy();
      this.#pairs.delete(pair);
    });
    far.on('close', () => near.destroy());
    near.on('data', (data) => far.write(data));
    far.on('data', (data) => near.write(data));
    if (this.#mode === 'silent') {
      near.pause();
      far.pause();
    }
  }
}

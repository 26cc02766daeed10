/** Who may come to this server by which name. */
export interface Doors {
  /** The address the server listens on. */
  host: string;
  /** Names and `name:port`s besides its own under which it may be asked for. */
  allowedHosts: readonly string[];
  /** Where people reach it from elsewhere, as an origin. */
  publicUrl: string | null;
  /** Whether everybody who can reach it may use the studio. */
  isOpen: boolean;
}

/** What the doors are injected by. */
export const doorsToken = Symbol('doors');

/** Reads `HOST`, `PUBLIC_URL`, `ALLOWED_HOSTS` and `IVY_OPEN`. */
export function readDoors(env: Readonly<Record<string, string | undefined>>): Doors {
  const { HOST, PUBLIC_URL, ALLOWED_HOSTS, IVY_OPEN } = env;
  return {
    host: HOST || '127.0.0.1',
    allowedHosts: (ALLOWED_HOSTS ?? '')
      .split(',')
      .map((name) => name.trim().toLowerCase())
      .filter((name) => name !== ''),
    publicUrl: PUBLIC_URL ? originOf(PUBLIC_URL) : null,
    isOpen: IVY_OPEN === '1',
  };
}

/** The origin of a web address: scheme, name and port alone. */
function originOf(address: string): string {
  const url = URL.canParse(address) ? new URL(address) : null;
  if (url?.protocol !== 'http:' && url?.protocol !== 'https:') {
    throw new Error(`PUBLIC_URL must be an origin such as https://ivy.example.org, not “${address}”.`);
  }
  return url.origin;
}

/** Whether an address to listen on is reached from this machine alone. */
export function isLoopback(host: string): boolean {
  return host === 'localhost' || host === '::1' || /^127(\.\d{1,3}){3}$/.test(host);
}

/** An address to listen on as a name that others can ask for: “any address” is none. */
export function nameOfHost(host: string): string {
  if (host === '0.0.0.0' || host === '::' || host === '') return '127.0.0.1';
  return host.includes(':') ? `[${host}]` : host;
}

/**
 * Whether a `Host` header, or the host of an origin, names this server.
 * @param port  that the request came in by
 */
export function isOwnHost(given: string, port: number, doors: Doors): boolean {
  const host = given.toLowerCase();
  const own = ['localhost', '127.0.0.1', '[::1]', nameOfHost(doors.host).toLowerCase()];
  if (own.some((name) => host === `${name}:${port}`)) return true;
  if (port === 80 && own.includes(host)) return true;
  if (doors.publicUrl !== null && host === new URL(doors.publicUrl).host) return true;
  const name = host.replace(/:\d+$/, '');
  return doors.allowedHosts.some((allowed) => allowed === host || allowed === name);
}

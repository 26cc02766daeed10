/** What Node says when a connection can't be made or breaks. */
const networkCodes = new Set(['ECONNREFUSED', 'ECONNRESET', 'ENOTFOUND', 'EPIPE', 'ETIMEDOUT', 'EAI_AGAIN', 'EMFILE']);

/** SQLSTATE classes that mean the server, not the statement: connection trouble, no resources, being shut down. */
const serverClasses = /^(08|53|57P|58)/;

/** What `pg` says without a code when it waits in vain or its connection ends. */
const clientWords =
  /timeout expired|timeout exceeded when trying to connect|Connection terminated|Query read timeout|Client has encountered a connection error|connection timeout/i;

/** Whether an error means that a disk is full, PostgreSQL's (SQLSTATE 53100) or this server's. */
export function isDiskFull(error: unknown): boolean {
  return codesOf(error).some((code) => code === '53100' || code === 'ENOSPC');
}

/** Whether an error means that PostgreSQL could not be reached or did not answer, and not that it said no. */
export function isOutage(error: unknown): boolean {
  if (isDiskFull(error)) return false;
  if (codesOf(error).some((code) => networkCodes.has(code) || serverClasses.test(code))) return true;
  return withCauses(error).some(({ message }) => typeof message === 'string' && clientWords.test(message));
}

interface ErrorLike {
  code?: unknown;
  message?: unknown;
  driverError?: unknown;
  cause?: unknown;
}

/** An error, the driver's own that it stands for, and what that was caused by. */
function withCauses(error: unknown): ErrorLike[] {
  const all: ErrorLike[] = [];
  for (let at = error; typeof at === 'object' && at !== null && all.length < 4;) {
    const one = at as ErrorLike;
    all.push(one);
    at = one.driverError ?? one.cause;
  }
  return all;
}

function codesOf(error: unknown): string[] {
  return withCauses(error).flatMap(({ code }) => (typeof code === 'string' ? [code] : []));
}

/** The refusal an error of the database stands for that is nobody's fault who asked: null for any other error. */
export function refusalOfDatabase(error: unknown): { status: number; code: string; detail: string } | null {
  if (isDiskFull(error)) {
    const detail =
      'The disk of this server or its database is full, so nothing was kept. Make room there, then try again.';
    return { status: 507, code: 'disk-full', detail };
  }
  if (!isOutage(error)) return null;
  const detail = 'PostgreSQL does not answer just now, so this can’t be done. Try again in a moment.';
  return { status: 503, code: 'database-down', detail };
}

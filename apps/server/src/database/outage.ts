/** What Node says when a connection can't be made or breaks. */
const networkCodes = new Set(['ECONNREFUSED', 'ECONNRESET', 'ENOTFOUND', 'EPIPE', 'ETIMEDOUT', 'EAI_AGAIN', 'EMFILE']);

/** SQLSTATE classes that mean the server, not the statement: connection trouble, no resources, being shut down. */
const serverClasses = /^(08|53|57P|58)/;

/** What `pg` says without a code when it waits in vain or its connection ends. */
const clientWords =
  /timeout expired|timeout exceeded when trying to connect|Connection terminated|Query read timeout|Client has encountered a connection error|connection timeout/i;

/** Whether an error means that PostgreSQL could not be reached or did not answer, and not that it said no. */
export function isOutage(error: unknown): boolean {
  for (let at = error, depth = 0; at && depth < 4; depth++) {
    const { code, message, driverError, cause } = at as {
      code?: unknown;
      message?: unknown;
      driverError?: unknown;
      cause?: unknown;
    };
    if (typeof code === 'string' && (networkCodes.has(code) || serverClasses.test(code))) return true;
    if (typeof message === 'string' && clientWords.test(message)) return true;
    at = driverError ?? cause;
  }
  return false;
}

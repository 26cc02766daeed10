/** Whether an error is PostgreSQL saying that a value must be unique and is not. */
export function isTaken(error: unknown): boolean {
  return (error as { driverError?: { code?: string } }).driverError?.code === '23505';
}

/** Whether an error is PostgreSQL saying that a row is still used by another. */
export function isUsed(error: unknown): boolean {
  const code = (error as { driverError?: { code?: string } }).driverError?.code;
  return code === '23503' || code === '23001';
}

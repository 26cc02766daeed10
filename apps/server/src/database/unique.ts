/** Whether an error is PostgreSQL saying that a value must be unique and is not. */
export function isTaken(error: unknown): boolean {
  return (error as { driverError?: { code?: string } }).driverError?.code === '23505';
}

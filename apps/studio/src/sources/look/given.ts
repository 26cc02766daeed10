/** What someone gave to be looked at, between two places of the studio: no address can carry files. */
let held: readonly File[] = [];

export function holdFiles(files: readonly File[]): void {
  held = files;
}

export function heldFiles(): readonly File[] {
  return held;
}

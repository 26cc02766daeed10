/** The file someone chose to replace the posts of a source by, between two places of the studio: no address can carry it. */
let held: { file: File; slug: string } | null = null;

export function holdFile(file: File, slug: string): void {
  held = { file, slug };
}

/** The file that is held for a source. */
export function heldFile(slug: string): File | null {
  return held?.slug === slug ? held.file : null;
}

/** Lets go of it: whoever comes again chooses anew. */
export function releaseFile(): void {
  held = null;
}

/** What a page with a lens costs a visitor, as it stands: bytes as they go over the wire. */
export interface PageWeight {
  /** Null where the browser was not told. */
  script: number | null;
  data: number | null;
  pictures: number | null;
  /** Pictures that came, and how many of them say nothing of their size. */
  pictureCount: number;
  untold: number;
  /** The script, the data and each picture. */
  requests: number;
  /** The picture that is sent largest for its place, where one is far larger than it need be; widths in pixels. */
  tooLarge: { count: number; shown: number; sent: number } | null;
}

/** A picture may be so much wider than its place: screens have up to so many dots a pixel. */
const dots = 2;

/** A picture as it stands on a page. */
interface Picture {
  address: string;
  /** Its own width, and that of its place, in pixels. */
  sent: number;
  shown: number;
}

/** Bytes of a body as it came, by its address; null where the browser was not told, as of most other origins. */
export type SizeOf = (address: string) => number | null;

/**
 * Weighs a page.
 * @param data  bytes of the answer it asks for
 */
export function weigh(pictures: readonly Picture[], sizeOf: SizeOf, script: string, data: number | null): PageWeight {
  const addresses = [...new Set(pictures.map(({ address }) => address))];
  const sizes = addresses.map(sizeOf);
  const measured = sizes.filter((size) => size !== null);
  const large = pictures
    // a drawing has no width of its own: it is as sharp at any
    .filter(({ address, sent, shown }) => !/\.svg(?:[?#]|$)/.test(address) && shown > 0 && sent > dots * shown)
    .sort((a, b) => b.sent / b.shown - a.sent / a.shown);
  const [largest] = large;
  return {
    script: sizeOf(script),
    data,
    pictures: measured.length === 0 && addresses.length > 0 ? null : measured.reduce((sum, size) => sum + size, 0),
    pictureCount: addresses.length,
    untold: sizes.length - measured.length,
    requests: 2 + addresses.length,
    tooLarge: largest ? { count: large.length, shown: Math.round(largest.shown), sent: largest.sent } : null,
  };
}

/** The pictures of a page that have come. */
export function picturesOn(page: Document): Picture[] {
  return [...page.images]
    .filter((image) => image.complete && image.naturalWidth > 0)
    .map((image) => ({
      address: image.currentSrc,
      sent: image.naturalWidth,
      shown: image.getBoundingClientRect().width,
    }));
}

/** What a window was told of the sizes of what it loaded. */
export function sizesIn(window: Window): SizeOf {
  return (address) => {
    const entry = window.performance.getEntriesByName(address, 'resource').at(-1) as
      PerformanceResourceTiming | undefined;
    return entry && entry.encodedBodySize > 0 ? entry.encodedBodySize : null;
  };
}

/** “26 kB”, “1.4 MB”. */
export function bytesText(bytes: number): string {
  if (bytes < 1_000_000) return `${Math.max(1, Math.round(bytes / 1000))} kB`;
  return `${(bytes / 1_000_000).toFixed(1)} MB`;
}

/** Where a key does something. */
export type KeyPlace = 'everywhere' | 'bench' | 'outline' | 'tray' | 'steps';

export interface KeyEntry {
  place: KeyPlace;
  /** As `KeyboardEvent.key` says it, with `Ctrl+`, `Shift+` and `Alt+` before it in this order. */
  keys: string;
  does: string;
}

/** Every key of the studio. Whoever listens takes its keys from here, and so does the help. */
export const keyTable = {
  palette: {
    place: 'everywhere',
    keys: 'Ctrl+k',
    does: 'Find anything: places, facets, terms, posts, addresses, actions',
  },
  keys: { place: 'everywhere', keys: '?', does: 'Show the keys of where one is' },
  undo: { place: 'steps', keys: 'Ctrl+z', does: 'Take the last step back' },
  redo: { place: 'steps', keys: 'Ctrl+Shift+z', does: 'Do it again' },
  address: { place: 'bench', keys: '/', does: 'Go to the address' },
  sieve: { place: 'bench', keys: '1', does: 'Open or shut the sieve' },
  why: { place: 'bench', keys: '2', does: 'Open or shut why' },
  requests: { place: 'bench', keys: '3', does: 'Open or shut the requests' },
  findings: { place: 'bench', keys: '4', does: 'Open or shut the findings' },
  hide: { place: 'bench', keys: 'h', does: 'Hide the facet in hand from visitors, or show it' },
  next: { place: 'outline', keys: 'ArrowDown', does: 'Take the next facet in hand' },
  previous: { place: 'outline', keys: 'ArrowUp', does: 'Take the facet before in hand' },
  down: { place: 'outline', keys: 'Alt+ArrowDown', does: 'Move the facet down' },
  up: { place: 'outline', keys: 'Alt+ArrowUp', does: 'Move the facet up' },
  right: { place: 'tray', keys: 'ArrowRight', does: 'Go to the next field' },
  left: { place: 'tray', keys: 'ArrowLeft', does: 'Go to the field before' },
} as const satisfies Record<string, KeyEntry>;

export type KeyName = keyof typeof keyTable;

/** A press as the table writes it. */
export function keysOf(event: Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'shiftKey' | 'altKey'>): string {
  const { key, ctrlKey, metaKey, shiftKey, altKey } = event;
  const isCommand = ctrlKey || metaKey;
  // a sign such as ? is typed with Shift on some keyboards and without it on others
  const isSign = key.length === 1 && !/[a-z]/i.test(key);
  return `${isCommand ? 'Ctrl+' : ''}${shiftKey && !isSign ? 'Shift+' : ''}${altKey ? 'Alt+' : ''}${key.length === 1 ? key.toLowerCase() : key}`;
}

/** The name of what a press does in some places; null for nothing. */
export function keyNamed(event: Parameters<typeof keysOf>[0], places: readonly KeyPlace[]): KeyName | null {
  const pressed = keysOf(event);
  const found = (Object.entries(keyTable) as [KeyName, KeyEntry][]).find(
    ([, { place, keys }]) => places.includes(place) && keys === pressed,
  );
  return found?.[0] ?? null;
}

const signs: Record<string, string> = {
  ArrowDown: '↓',
  ArrowUp: '↑',
  ArrowLeft: '←',
  ArrowRight: '→',
};

/** The keys of an entry as they stand on a keyboard. */
export function keyCaps({ keys }: KeyEntry): string[] {
  return keys.split('+').map((key) => signs[key] ?? (key.length === 1 ? key.toUpperCase() : key));
}

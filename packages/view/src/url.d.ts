/** Wherever this runs there are addresses of the web; the rest of a browser there may not be. */
declare class URL {
  static canParse(address: string, base?: string): boolean;
  constructor(address: string, base?: string);
  readonly protocol: string;
  readonly origin: string;
  readonly href: string;
}

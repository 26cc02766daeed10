import { FileProblem } from '../file-problem.js';
import { eachElement, type Element } from './xml.js';

/** A feed that a list of feeds names. */
export interface ListedFeed {
  address: string;
  name: string;
  /** Headings it stands under, the outermost first. */
  under: string[];
}

export function isOpml(start: string): boolean {
  return /<opml\b/i.test(start);
}

/**
 * Reads OPML 2.0: the feeds it names, with the headings they stand under.
 * @throws FileProblem where it names none
 */
export function readOpml(text: string): ListedFeed[] {
  const feeds: ListedFeed[] = [];
  const visit = (outline: Element, under: readonly string[]) => {
    const { xmlUrl = '', title = '', text: words = '' } = outline.attributes;
    const name = (title || words).trim();
    if (/^https?:\/\//.test(xmlUrl.trim())) feeds.push({ address: xmlUrl.trim(), name, under: [...under] });
    for (const one of outline.children) visit(one, name === '' ? under : [...under, name]);
  };
  eachElement(
    text,
    (_uri, local) => local === 'outline',
    (outline) => visit(outline, []),
  );
  if (feeds.length === 0) {
    throw new FileProblem('no-posts', 'This is a list of feeds (OPML), but names none: each has an “xmlUrl”.');
  }
  return feeds;
}

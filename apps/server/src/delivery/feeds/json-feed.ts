import { feedVersion } from '@ivy/formats';
import type { Entry, Feed } from './feed.js';

/** A feed as JSON Feed 1.1 has it (jsonfeed.org). */
export function writeJsonFeed({ title, language, self, page, entries }: Feed): string {
  const feed = { version: feedVersion, title, home_page_url: page, feed_url: self, language };
  return JSON.stringify({ ...feed, items: entries.map(itemOf) });
}

function itemOf({ id, title, link, image, published, summary, author, tags }: Entry): object {
  const texts = { url: link, title, image, date_published: published, summary };
  return {
    id,
    ...Object.fromEntries(Object.entries(texts).filter(([, text]) => text !== '')),
    content_text: summary || title,
    ...(author !== '' && { authors: [{ name: author }] }),
    ...(tags.length > 0 && { tags }),
  };
}

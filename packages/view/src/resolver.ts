/** Links of posts are relative to the site they came from. Only web addresses are followed. */
export function resolver(site: string | null): (link: string) => string | null {
  const base = site === null ? 'http://none.invalid/' : `${site}/`;
  return (link) => {
    if (!URL.canParse(link, base)) return null;
    const url = new URL(link, base);
    if (url.protocol !== 'http:' && url.protocol !== 'https:') return null;
    return site === null && url.origin === new URL(base).origin ? link : url.href;
  };
}

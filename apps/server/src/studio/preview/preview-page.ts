import { escapeHtml } from '../../delivery/hosted/markup.js';

/**
 * The page in the Bench's frame: a plain page such as a site might have, with the real runtime on it. Its answers
 * come from the Bench, so it follows the draft without being loaded again.
 * @param shows  the whole listing, or its cards alone
 */
export function previewPage(
  { slug, name, site }: { slug: string; name: string; site: string | null },
  shows: 'page' | 'cards',
): string {
  const listing =
    shows === 'page'
      ? `<h1>${escapeHtml(name)}</h1>\n<ivy-lens name="${escapeHtml(slug)}" preview></ivy-lens>`
      : `<ivy-results name="${escapeHtml(slug)}" preview></ivy-results>`;
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>${escapeHtml(name)}</title>
<script type="module" src="/embed/ivy-lens.js"></script>
<style>
  @font-face { font-family: 'Source Sans 3'; src: url(/preview-font.woff2) format('woff2'); font-weight: 200 900; }
  body { margin: 0; padding: 22px 20px 40px; background: light-dark(#fdfdf9, #121615); color: light-dark(#1d2b2e, #e8eeec);
    font: 15px/1.45 'Source Sans 3', system-ui, sans-serif; }
  h1 { margin: 0 0 16px; font-size: 28px; line-height: 1.15; letter-spacing: -0.01em; }
</style>
${site ? `<base href="${escapeHtml(site)}/">` : ''}
</head>
<body>
<main>
${listing}
</main>
</body>
</html>
`;
}

import type { CachedLens } from '../../delivery/lens-cache.js';

/** What a bundle says of itself to whoever unpacks it. */
export function bundleText({ slug, name, release }: CachedLens, posts: number, day: string): string {
  return `# ${name}

Release ${release} with its ${posts === 1 ? 'one post' : `${posts} posts`}, as of ${day}. It answers by itself: no server is asked.

- \`index.html\` shows it. Open it from the disk, or put the folder on any web server.
- \`ivy-lens.js\` is the listing with its posts. It is all another page needs:

\`\`\`html
<script defer src="ivy-lens.js"></script>
<ivy-lens name="${slug}" style="display:block;min-height:100vh"></ivy-lens>
\`\`\`

Its parts can stand anywhere on the page instead (\`<ivy-facets>\`, \`<ivy-results>\` and so on, each with \`name="${slug}"\`), and addresses
are those of the listing it was taken from. A page may carry several lenses: give each script a file name of its own.

The script holds what the listing shows, filters by, sorts by or searches, of the posts it shows, and nothing else. Posts that change
later are not in it: take it again. Pictures are loaded from where they were.
`;
}

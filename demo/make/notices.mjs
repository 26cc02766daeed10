// Makes the wardens' board of notices: three plain pages with a form, a table and a pager of their own. They are there
// twice: with what filters them marked in the pages themselves, and untouched, for a mapping from the studio.
import { random } from './random.mjs';
import { habitatsAt, places } from './words.mjs';

const day = 86_400_000;
const last = Date.UTC(2026, 4, 30);
const count = 68;
const size = 24;

const titles = {
  Works: [
    'Boards loose by {spot}',
    'Slipway shut for repairs at {spot}',
    'New steps at {spot}',
    'Rope goes round {spot}',
  ],
  Closure: [
    'Gate kept shut at {spot}',
    'Path to {spot} under water',
    'No dogs at {spot} until August',
    'Ice at {spot}',
  ],
  Call: ['Hands for the count at {spot}', 'Spare boots wanted at {spot}', 'Who left a telescope at {spot}?'],
};
const names = ['Mudflat', 'Reedbed', 'Saltmarsh', 'Shingle bank', 'Lagoon'];

/** The notices, newest first. */
export function makeNotices() {
  const chance = random('orrin notices');
  return Array.from({ length: count }, (_, i) => {
    const kind = chance.weighted([
      ['Works', 5],
      ['Closure', 4],
      ['Call', 3],
    ]);
    const spot = chance.weighted(places.map((place) => [place[2], place[3]]));
    const near = Object.keys(habitatsAt?.[spot] ?? {});
    const own = names.filter((name) => near.includes(name));
    const habitats = [
      ...new Set([chance.pick(own.length > 0 ? own : names), ...(chance.chance(0.3) ? [chance.pick(names)] : [])]),
    ];
    const at = new Date(last - Math.floor((i * 160) / count) * day);
    return {
      number: 180 - i,
      date: at,
      title: chance.pick(titles[kind]).replace('{spot}', spot),
      place: spot,
      kind,
      habitats,
    };
  });
}

const escape = (text) => text.replace(/[&<>"]/g, (mark) => `&#${mark.charCodeAt(0)};`);
const written = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' });

/**
 * The pages of the board, by file name.
 * @param {'notices' | 'board'} path  where they stand; the board is the one that bears no marks
 */
export function noticePages(path) {
  const notices = makeNotices();
  const pages = Math.ceil(notices.length / size);
  return Array.from({ length: pages }, (_, i) => {
    const rows = notices
      .slice(i * size, (i + 1) * size)
      .map(drawRow)
      .join('\n');
    const page = drawPage(rows, i + 1, pages, notices.length);
    return [i === 0 ? `${path}.html` : `${path}-${i + 1}.html`, path === 'board' ? untouched(page) : page];
  });
}

/** The same page as someone has it who has never heard of a mark: controls have names and values of their own. */
function untouched(page) {
  return page
    .replace(/ data-ivy-number(?=>)/g, ' class="number"')
    .replace(/<i class="number"><\/i>/g, '')
    .replace(/ *<ul class="chips"[\s\S]*?<\/ul>\n/, '')
    .replace(/name="date" data-ivy-end="(from|to)"/g, 'name="$1"')
    .replace('value="date:asc"', 'value="oldest"')
    .replace('value="title:asc"', 'value="a-z"')
    .replace(/ data-ivy-[a-z]+(="[^"]*")?/g, '')
    .replace('<tbody>', '<tbody class="board">')
    .replace('<b>', '<b class="fits">')
    .replace(/ rel="(prev|next)"/g, '')
    .replaceAll('/notices?', '/board?')
    .replaceAll('"/notices"', '"/board"')
    .replace('    <script src="/notices.js"></script>\n', '')
    .replace('/embed/ivy-page.js"', '/embed/ivy-page.js" data-ivy-name="notices"');
}

function drawRow({ number, date, title, place, kind, habitats }) {
  const iso = date.toISOString().slice(0, 10);
  return `          <tr>
            <td><time data-ivy-field="date" datetime="${iso}">${written.format(date)}</time></td>
            <th scope="row" data-ivy-field="title"><a href="/join#notice-${number}">${escape(title)}</a></th>
            <td data-ivy-field="place">${escape(place)}</td>
            <td data-ivy-field="kind">${kind}</td>
            <td data-ivy-field="habitat" data-ivy-split=",">${habitats.join(', ')}</td>
          </tr>`;
}

function drawPage(rows, page, pages, total) {
  const href = (to) => (to === 1 ? '/notices' : `/notices?page=${to}`);
  const numbers = Array.from({ length: pages }, (_, i) => i + 1)
    .map((to) => `<a href="${href(to)}"${to === page ? ' aria-current="page"' : ''}>${to}</a>`)
    .join(' ');
  const ticks = names
    .map(
      (name) =>
        `<label><input type="checkbox" name="habitat" value="${name}" /> ${name} <i data-ivy-number></i></label>`,
    )
    .join('\n            ');
  return `<!doctype html>
<html lang="en">
  <head>
    <meta charset="utf-8" />
    <meta name="viewport" content="width=device-width, initial-scale=1" />
    <title>Notices · Orrin Estuary Wardens</title>
    <link rel="icon" href="/mark.svg" />
    <link rel="stylesheet" href="/notices.css" />
    <script src="/notices.js"></script>
    <script type="module" src="http://127.0.0.1:4800/embed/ivy-page.js"></script>
  </head>
  <body>
    <header>
      <a class="group" href="/">Orrin Estuary Wardens</a>
      <nav aria-label="Main"><a href="/">Field notes</a> <a href="/walks">Walks</a> <a href="/notices" aria-current="page">Notices</a></nav>
    </header>
    <main>
      <h1>Notices <small>Works, closures, and calls for hands.</small></h1>
      <form data-ivy-for="notices" action="/notices">
        <p>
          <label>Find <input type="search" name="q" data-ivy-search="title place" /></label>
          <label>Kind <select name="kind"><option value="">All kinds</option><option>Works</option><option>Closure</option><option>Call</option></select></label>
          <label>From <input type="date" name="date" data-ivy-end="from" /></label>
          <label>to <input type="date" name="date" data-ivy-end="to" /></label>
          <label>Order <select name="sort" data-ivy-sort><option value="">As they came</option><option value="date:asc">Oldest first</option><option value="title:asc">A to Z</option></select></label>
          <button>Go</button>
        </p>
        <fieldset>
          <legend>Habitat</legend>
            ${ticks}
        </fieldset>
        <p class="sum">
          <span><b data-ivy-count="notices">${total}</b> of <b data-ivy-total="notices">${total}</b> notices</span>
          <button type="reset" hidden>Clear all</button>
        </p>
      </form>
      <ul class="chips" data-ivy-chips="notices" aria-label="Chosen" hidden>
        <template><li><span data-ivy-text></span> <button type="button" data-ivy-remove>×</button></li></template>
      </ul>
      <table>
        <thead>
          <tr><th scope="col">When</th><th scope="col">Notice</th><th scope="col">Where</th><th scope="col">Kind</th><th scope="col">Habitat</th></tr>
        </thead>
        <tbody data-ivy-list="notices">
${rows}
        </tbody>
      </table>
      <p class="none" data-ivy-empty="notices" hidden>Nothing on the board is all of this.</p>
      <nav class="pages" aria-label="Pages" data-ivy-pager="notices">${page > 1 ? `<a href="${href(page - 1)}" rel="prev">Back</a> ` : ''}${numbers}${page < pages ? ` <a href="${href(page + 1)}" rel="next">Next</a>` : ''}</nav>
    </main>
    <footer>The Orrin Estuary Wardens are made up, and so is every notice.</footer>
  </body>
</html>
`;
}

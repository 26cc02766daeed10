import type { Mark } from '@ivy/core';

/** What a made-up page lists. */
export interface Notice {
  title: string;
  kind: string;
  habitats: string[];
  date: string | null;
  minutes: number;
}

const esc = (text: string) => text.replace(/[&<>"]/g, (mark) => `&#${mark.charCodeAt(0)};`);
const day = (date: string) =>
  new Intl.DateTimeFormat('en-GB', { dateStyle: 'long', timeZone: 'UTC' }).format(new Date(date));
const title = ({ title: text }: Notice) => `<a data-ivy-field="title" href="#">${esc(text)}</a>`;
const kind = (notice: Notice) => `<b data-ivy-field="kind">${notice.kind}</b>`;
const time = ({ date }: Notice) => (date ? `<time data-ivy-field="date" datetime="${date}">${day(date)}</time>` : '');
const split = (by: string) => (notice: Notice) =>
  `<span data-ivy-field="habitat" data-ivy-split="${by.trim()}">${notice.habitats.map(esc).join(by)}</span>`;
const many = ({ habitats }: Notice) => habitats.map((one) => `<i data-ivy-field="habitat">${esc(one)}</i>`).join(' ');
const minutes = (notice: Notice) => `<em data-ivy-field="minutes">${notice.minutes}</em>`;
const all = (notice: Notice, habitats = split(', ')) =>
  [title(notice), kind(notice), time(notice), habitats(notice), minutes(notice)].join('\n');
const list = (tag: string, items: string[], more = '') =>
  `<${tag} data-ivy-list="notices"${more}>${items.join('\n')}</${tag}>`;

/** Ways in which pages of someone's own write the same list. */
export const markups: Record<string, (notices: readonly Notice[]) => string> = {
  'a list': (notices) =>
    list(
      'ul',
      notices.map((one) => `<li>${all(one)}</li>`),
    ),
  'articles, one element a value': (notices) =>
    list(
      'div',
      notices.map((one) => `<article>${all(one, many)}</article>`),
    ),
  'rows of a table': (notices) =>
    list(
      'tbody',
      notices.map(
        (one) => `<tr><td data-ivy-field="kind">${one.kind}</td><td>${title(one)}</td><td>${time(one)}</td>
          <td data-ivy-field="habitat" data-ivy-split=";">${one.habitats.join('; ')}</td><td data-ivy-field="minutes">${one.minutes}</td></tr>`,
      ),
    ).replace(/^/, '<table><thead><tr><th>Kind</th></tr></thead>') + '</table>',
  'a table that is marked itself': (notices) =>
    `<table data-ivy-list="notices"><thead><tr><th>Title</th></tr></thead><tbody>${notices
      .map((one) => `<tr><td>${all(one)}</td></tr>`)
      .join('')}</tbody></table>`,
  'groups of a definition list': (notices) =>
    list(
      'dl',
      notices.map(
        (one) =>
          `<div><dt>${title(one)} ${kind(one)}</dt><dd>${time(one)}${split(' / ')(one)}${minutes(one)}</dd></div>`,
      ),
    ),
  'values in attributes of the item': (notices) =>
    list(
      'ol',
      notices.map(
        (
          one,
        ) => `<li data-kind="${one.kind}" data-on="${one.date ?? ''}" data-at="${one.habitats.join('|')}" data-min="${one.minutes}">
          <span data-ivy-field="title">${esc(one.title)}</span>
          <i hidden data-ivy-field="kind" data-ivy-from="title" title="${one.kind}"></i>
          <i hidden data-ivy-field="date" data-ivy-from="title" title="${one.date ?? ''}"></i>
          <i hidden data-ivy-field="habitat" data-ivy-from="title" data-ivy-split="|" title="${one.habitats.join('|')}"></i>
          <data data-ivy-field="minutes" value="${one.minutes}">about an hour</data></li>`,
      ),
    ),
  'items deep in columns, between headings': (notices) =>
    list('section', [
      '<h2>This year</h2>',
      `<div class="row">${notices
        .slice(0, 9)
        .map((one) => `<div><p data-ivy-item>${all(one)}</p></div>`)
        .join('')}</div>`,
      '<h2>Before</h2>',
      `<div class="row">${notices
        .slice(9)
        .map((one) => `<div><p data-ivy-item>${all(one)}</p></div>`)
        .join('')}</div>`,
    ]),
  'lists within items': (notices) =>
    list(
      'ul',
      notices.map(
        (one) =>
          `<li>${title(one)} ${kind(one)} ${time(one)} ${minutes(one)}<ul>${one.habitats.map((at) => `<li data-ivy-field="habitat">${at}</li>`).join('')}</ul></li>`,
      ),
    ),
  'days in words': (notices) =>
    list(
      'ul',
      notices.map(
        (one) =>
          `<li>${title(one)} ${kind(one)} ${many(one)} ${minutes(one)} <span data-ivy-field="date" data-ivy-type="date">${one.date ? day(one.date) : ''}</span></li>`,
      ),
    ),
  'names and values in other cases': (notices) =>
    list(
      'ul',
      notices.map(
        (one, i) =>
          `<li>${title(one)} <b data-ivy-field="${i % 2 ? 'Kind' : 'kind'}">${i % 3 ? one.kind : one.kind.toUpperCase()}</b> ${time(one)} ${split(' , ')(one)} ${minutes(one)}</li>`,
      ),
    ),
  'right to left': (notices) =>
    list(
      'ul',
      notices.map((one) => `<li>${all(one)}</li>`),
      ' dir="rtl"',
    ),
  'lists within a list, one a kind': (notices) =>
    list(
      'ul',
      kinds.map(
        (name) =>
          `<li><h3>${name}</h3><ul>${notices.map((one) => (one.kind === name ? `<li data-ivy-item>${all(one)}</li>` : '')).join('')}</ul></li>`,
      ),
    ),
  'links that are the items': (notices) =>
    list(
      'nav',
      notices.map(
        (one) =>
          `<a href="#x"><b data-ivy-field="title">${esc(one.title)}</b> ${kind(one)} ${time(one)} ${many(one)} ${minutes(one)}</a>`,
      ),
    ),
  'what pictures and meters say': (notices) =>
    list(
      'div',
      notices.map(
        (one) =>
          `<figure><img data-ivy-field="kind" data-ivy-from="alt" alt="${one.kind}" src="data:,"><figcaption>${title(one)}</figcaption>
          ${time(one)}${many(one)}<meter data-ivy-field="minutes" min="0" max="60" value="${one.minutes}"></meter></figure>`,
      ),
    ),
  'several bodies of a table': (notices) =>
    `<table data-ivy-list="notices">${[0, 8, 16]
      .map(
        (from) =>
          `<tbody>${notices
            .slice(from, from + 8)
            .map((one) => `<tr><td>${all(one)}</td></tr>`)
            .join('')}</tbody>`,
      )
      .join('')}</table>`,
  'templates and scripts among the items': (notices) =>
    list('ul', [
      '<template><li>x</li></template>',
      ...notices.map((one) => `<li>${all(one)}</li>`),
      '<script type="text/plain">x</script>',
    ]),
};

const kinds = ['Works', 'Closure', 'Call'];
const habitats = ['Mudflat', 'Reedbed', 'Salt marsh', 'Lagoon'];

/** Notices, the same each time. */
export const notices: Notice[] = Array.from({ length: 24 }, (_, i) => ({
  title: `${['Slipway', 'Gate', 'Rope', 'Ice'][i % 4]!} ${['shut', 'loose', 'mended'][i % 3]!} ${i}`,
  kind: kinds[(i * 7) % 3]!,
  habitats: habitats.filter((_one, at) => (i + at) % 3 === 0 || (i * at) % 5 === 1),
  date: i % 6 === 5 ? null : `2026-0${1 + (i % 5)}-${String(3 + i).padStart(2, '0')}`,
  minutes: (i * 13) % 50,
}));

/** The form that drives all of them. */
export const form = (match: 'any' | 'all') => `<form data-ivy-for="notices">
  <input type="search" name="q" data-ivy-search="title">
  <fieldset data-ivy-match="${match}">${habitats.map((one) => `<label><input type="checkbox" name="habitat" value="${one}"> ${one} <i data-ivy-number></i></label>`).join('')}</fieldset>
  <select name="kind"><option value="">All</option>${kinds.map((one) => `<option>${one}</option>`).join('')}</select>
  <input type="date" name="date" data-ivy-end="from"><input type="date" name="date" data-ivy-end="to">
  <input type="number" name="minutes" data-ivy-end="from"><input type="number" name="minutes" data-ivy-end="to">
  </form><b data-ivy-count="notices"></b>`;

/** What is asked of them all: some of each facet, as plain data and as an address. */
export interface Asked {
  word: string | null;
  habitats: string[];
  kind: string | null;
  from: string | null;
  to: string | null;
  least: number | null;
}

/** Fifty questions, the same each time. */
export const asked: Asked[] = Array.from({ length: 50 }, (_, i) => ({
  word: i % 7 === 3 ? ['slip', 'gate', 'mended'][i % 3]! : null,
  habitats: habitats.filter((_one, at) => (i >> at) % 4 === 1),
  kind: i % 3 === 1 ? kinds[i % 3]! : null,
  from: i % 5 === 2 ? `2026-0${1 + (i % 4)}-10` : null,
  to: i % 8 === 4 ? '2026-04-20' : null,
  least: i % 6 === 1 ? i % 40 : null,
}));

export function addressOf({ word, habitats: at, kind: one, from, to, least }: Asked): string {
  const parts = [
    word && `q=${word}`,
    at.length > 0 && `habitat=${at.map((name) => name.toLowerCase().replace(' ', '-')).join(',')}`,
    one && `kind=${one.toLowerCase()}`,
    (from ?? to) && `date=${from ?? '..'}/${to ?? '..'}`,
    least !== null && `minutes=${least}/..`,
  ];
  return parts.filter(Boolean).join('&');
}

/** The titles that a question leaves, by looking at each notice: slow, and plain to see. */
export function answerTo(question: Asked, match: 'any' | 'all'): string[] {
  const { word, habitats: at, kind: one, from, to, least } = question;
  return notices
    .filter((notice) => {
      const has = (name: string) => notice.habitats.includes(name);
      if (at.length > 0 && !(match === 'all' ? at.every(has) : at.some(has))) return false;
      if (one !== null && notice.kind !== one) return false;
      if (
        (from !== null || to !== null) &&
        (notice.date === null || notice.date < (from ?? '') || notice.date > (to ?? '9'))
      )
        return false;
      if (least !== null && notice.minutes < least) return false;
      return (
        word === null ||
        notice.title
          .toLowerCase()
          .split(' ')
          .some((part) => part.startsWith(word))
      );
    })
    .map((notice) => notice.title);
}

/** A list that bears no marks, and what a mapping says of it. */
export const unmarked = {
  cards: {
    html: (all: readonly Notice[]) =>
      `<section class="cards">${all
        .map(
          (one) =>
            `<article class="card"><h3>${esc(one.title)}</h3><p class="kind">${one.kind}</p>${one.date ? `<time datetime="${one.date}">x</time>` : ''}
            <p class="at">${one.habitats.map(esc).join(' · ')}</p><data value="${one.minutes}">some</data></article>`,
        )
        .join('')}</section>`,
    marks: marksOf(
      '.cards',
      '.cards > .card',
      { title: 'h3', kind: '.kind', date: 'time', minutes: 'data' },
      '.at',
      '·',
    ),
  },
  table: {
    html: (all: readonly Notice[]) =>
      `<table class="board"><tbody>${all
        .map(
          (one) =>
            `<tr><td>${esc(one.title)}</td><td>${one.kind}</td><td><time datetime="${one.date ?? ''}">x</time></td><td>${one.minutes}</td><td>${one.habitats.map(esc).join('; ')}</td></tr>`,
        )
        .join('')}</tbody></table>`,
    marks: marksOf(
      '.board > tbody',
      '.board > tbody > tr',
      { title: 'td:nth-of-type(1)', kind: 'td:nth-of-type(2)', date: 'time', minutes: 'td:nth-of-type(4)' },
      'td:nth-of-type(5)',
      ';',
    ),
  },
};

function marksOf(at: string, item: string, fields: Record<string, string>, habitat: string, split: string): Mark[] {
  return [
    { at, in: 'page', says: { list: '' } },
    { at: item, in: 'page', says: { item: '' } },
    ...Object.entries(fields).map(([field, where]): Mark => ({ at: where, in: 'item', says: { field } })),
    { at: habitat, in: 'item', says: { field: 'habitat', split } },
  ];
}

import { repeated, skippedLevel } from '@ivy/core';

/** One thing of a page that holds or does not. */
export interface Finding {
  holds: boolean;
  title: string;
  /** What to do, where it does not hold. */
  mend: string;
}

/** What is found out about any page: ids that stand twice, and headings. */
export function commonFindings(page: Document): Finding[] {
  const ids = [...page.querySelectorAll('[id]')].map(({ id }) => id);
  const headings = [...page.querySelectorAll('h1, h2, h3, h4, h5, h6')];
  const skipped = skippedLevel(headings.map(({ tagName }) => Number(tagName[1])));
  const words =
    skipped === null
      ? 'Headings are in order'
      : `After a heading of level ${skipped[0]} comes one of level ${skipped[1]}`;
  return [
    ...repeated(ids).map((id) => ({
      holds: false,
      title: `The id “${id}” stands twice on the page`,
      mend: 'Give one of them another.',
    })),
    { holds: skipped === null, title: words, mend: 'Let no level be left out.' },
  ];
}

const rules = `
  :host { all: initial }
  section { position: fixed; inset-block: 12px; inset-inline-end: 12px; z-index: 2147483647; width: min(430px, calc(100vw - 24px));
    box-sizing: border-box; overflow: auto; padding: 14px 18px; border: 1px solid #bfb79f; border-radius: 4px; background: #f6f3e9;
    color: #1f261e; font: 14px/1.4 system-ui, sans-serif; max-height: calc(100vh - 24px); height: fit-content }
  h2 { margin: 0 36px 8px 0; font: 600 20px/1.2 Georgia, serif }
  ol { margin: 0; padding: 0; list-style: none }
  li { padding: 7px 0 7px 24px; border-top: 1px solid #dad3bf; position: relative }
  li::before { content: ''; position: absolute; inset-inline-start: 3px; top: 12px; width: 10px; height: 10px; border: 2px solid #1f5b40; border-radius: 50%; background: #1f5b40 }
  li.bad { color: #7d3a0d }
  li.bad::before { border-color: #9a4a14; background: none }
  small { display: block; font-size: 13px; color: #4b5344 }
  button { position: absolute; top: 8px; inset-inline-end: 8px; width: 36px; height: 36px; border: 0; background: none; font-size: 20px; cursor: pointer; color: inherit }
`;

/** Shows on the page itself what of it stands. The page's own rules do not reach it, nor its the page. */
export function showFindings(findings: readonly Finding[]): HTMLElement {
  const good = findings.filter(({ holds }) => holds).length;
  const host = document.createElement('div');
  const root = host.attachShadow({ mode: 'open' });
  // a sheet made by script is let in where a policy lets in no style of a page
  if ('adoptedStyleSheets' in root) {
    const sheet = new CSSStyleSheet();
    sheet.replaceSync(rules);
    root.adoptedStyleSheets = [sheet];
  }
  const section = document.createElement('section');
  section.setAttribute('aria-label', 'Check of this page');
  section.tabIndex = -1;
  const title = document.createElement('h2');
  title.textContent = `${good} of ${findings.length} hold`;
  const close = document.createElement('button');
  close.type = 'button';
  close.textContent = '×';
  close.setAttribute('aria-label', 'Close the check');
  close.addEventListener('click', () => host.remove());
  const list = document.createElement('ol');
  for (const { holds, title: words, mend } of findings) {
    const item = document.createElement('li');
    item.className = holds ? 'good' : 'bad';
    item.textContent = words;
    if (!holds && mend !== '') {
      const small = document.createElement('small');
      small.textContent = mend;
      item.append(small);
    }
    list.append(item);
  }
  section.append(title, close, list);
  root.append(section);
  document.body.append(host);
  return host;
}

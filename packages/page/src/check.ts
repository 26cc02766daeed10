import { repeated, skippedLevel } from '@ivy/core';
import type { ListReport } from './own-list.js';

/** One thing of a page that holds or does not. */
export interface Finding {
  holds: boolean;
  title: string;
  /** What to do, where it does not hold. */
  mend: string;
}

/** All that is found out about a page: what to do first, then what holds. */
export function findingsOf(
  reports: readonly ListReport[],
  strange: readonly string[],
  page: Document = document,
): Finding[] {
  const findings: Finding[] = [];
  const say = (holds: boolean, title: string, mend = '') => findings.push({ holds, title, mend });
  say(
    reports.length > 0,
    reports.length > 0
      ? `The script is there, with ${count(reports.length, 'list')}`
      : 'The script is there, but no list',
    'Put data-ivy-list="name" on the list.',
  );
  for (const { name, state, items, fields, controls, notes } of reports) {
    const list = `List “${name}”`;
    say(state === 'ready', `${list} is ${state || 'not read'}`, 'The console says what went wrong.');
    say(items > 0, `${list}: ${count(items, 'item')}`, 'Put items in it, or data-ivy-item on what they are.');
    say(
      fields.length > 0,
      `${list}: ${count(fields.length, 'field')}`,
      'Put data-ivy-field="name" on what holds a value in an item.',
    );
    for (const { key, type, filled } of fields)
      say(
        filled > 0,
        `${list}: “${key}” is ${type}, in ${filled} of ${count(items, 'item')}`,
        'Its values could not be read as that. Say data-ivy-type.',
      );
    say(
      controls.length > 0,
      `${list}: ${count(controls.length, 'control')} of the page`,
      `Put data-ivy-for="${name}" on the form.`,
    );
    for (const control of controls) {
      const { values, met } = control;
      const words = values === 0 ? control.kind : `${met} of ${count(values, 'value')} meet an item`;
      say(
        values === 0 || met > 0,
        `${list}: control “${control.name}”: ${words}`,
        'Compare its values with those in the items.',
      );
    }
    for (const note of notes) say(false, `${list}: ${note}`, '');
  }
  for (const name of strange) say(false, `“${name}” is no attribute that is read`, 'See the list of attributes.');
  const ids = [...page.querySelectorAll('[id]')].map(({ id }) => id);
  for (const id of repeated(ids)) say(false, `The id “${id}” stands twice on the page`, 'Give one of them another.');
  const headings = [...page.querySelectorAll('h1, h2, h3, h4, h5, h6')];
  const skipped = skippedLevel(headings.map(({ tagName }) => Number(tagName[1])));
  say(
    skipped === null,
    skipped === null
      ? 'Headings are in order'
      : `After a heading of level ${skipped[0]} comes one of level ${skipped[1]}`,
    'Let no level be left out.',
  );
  return [...findings.filter(({ holds }) => !holds), ...findings.filter(({ holds }) => holds)];
}

function count(n: number, noun: string): string {
  return `${n} ${noun}${n === 1 ? '' : 's'}`;
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
export function showCheck(reports: readonly ListReport[], strange: readonly string[]): HTMLElement {
  const findings = findingsOf(reports, strange);
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

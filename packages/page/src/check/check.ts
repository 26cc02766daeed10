import { commonFindings, showFindings, type Finding } from './check-panel.js';
import type { ListReport } from './list-report.js';

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
  findings.push(...commonFindings(page));
  return [...findings.filter(({ holds }) => !holds), ...findings.filter(({ holds }) => holds)];
}

function count(n: number, noun: string): string {
  return `${n} ${noun}${n === 1 ? '' : 's'}`;
}

/** Shows on the page what of its lists stands. */
export function showCheck(reports: readonly ListReport[], strange: readonly string[]): HTMLElement {
  return showFindings(findingsOf(reports, strange));
}

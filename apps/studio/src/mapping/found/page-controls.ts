import { loose } from '@ivy/core';
import { selectorOf } from './selector.js';

/** Controls of a page that choose one thing together, before anyone has said of what. */
export interface PageControl {
  boxes: Element[];
  /** What holds all of them and none else; or else they themselves. */
  elements: Element[];
  at: string;
  /** What the page calls them. */
  label: string;
  /** Their own name; '' for none. */
  name: string;
  what: 'choice' | 'search' | 'dates' | 'numbers' | 'sort';
  /** What they offer: value and words. */
  offers: { value: string; words: string }[];
}

const boxes =
  'input:not([type=hidden], [type=submit], [type=reset], [type=image], [type=file], [type=password]), select';

/** The controls of a page outside its list, each group once, in the order they stand in. */
export function controlsOn(page: Document, list: Element | null): PageControl[] {
  const found: PageControl[] = [];
  for (const control of page.body.querySelectorAll<HTMLInputElement | HTMLSelectElement>(boxes)) {
    if (list?.contains(control) || found.some((one) => one.boxes.includes(control))) continue;
    found.push(controlOf(control, page));
  }
  return found;
}

/** The group that a control is of. */
export function controlOf(control: HTMLInputElement | HTMLSelectElement, page: Document): PageControl {
  const all = groupOf(control, page);
  const common = commonOf(all, page);
  const isTheirs = all.length > 1 && [...common.querySelectorAll(boxes)].every((one) => all.includes(one));
  const elements = isTheirs ? [common] : all;
  const what = whatOf(control);
  return {
    boxes: all,
    elements,
    at: elements.map((one) => selectorOf(one, page)).join(', '),
    label: labelOf(isTheirs ? common : control, control, all.length > 1),
    name: control.name,
    what,
    offers: what === 'choice' || what === 'sort' ? all.flatMap(offersOf) : [],
  };
}

/** Those of one name in one form; without a name, the boxes of one kind in the same group. */
function groupOf(control: HTMLInputElement | HTMLSelectElement, page: Document): Element[] {
  const around = control.closest('form, fieldset') ?? page.body;
  const isBox =
    control.type === 'checkbox' || control.type === 'radio' || control.type === 'date' || control.type === 'number';
  if (!isBox) return [control];
  const alike = [...around.querySelectorAll<HTMLInputElement>(`input[type="${control.type}"]`)];
  if (control.name !== '') {
    const named = alike.filter((one) => one.name === control.name);
    // ends of a range are often called alike but for a word
    if (named.length > 1 || !/^(date|number)$/.test(control.type)) return named;
    return alike.filter((one) => stemOf(one.name) === stemOf(control.name));
  }
  const group = control.closest('fieldset, ul, ol, [role=group]') ?? around;
  return alike.filter((one) => one.name === '' && group.contains(one));
}

/** A name without what says which end it is. */
export function stemOf(name: string): string {
  return name.toLowerCase().replace(/[-_.[\]]*(from|to|min|max|start|end|after|before|since|until)[-_.[\]]*/g, '');
}

/** Which end of a range a box is by its name, or its label; else by its place. */
export function endOf(box: HTMLInputElement, all: readonly Element[]): 'from' | 'to' {
  const words = `${box.name} ${box.id} ${box.labels?.[0]?.textContent ?? ''}`.toLowerCase();
  if (/\b(to|max|end|until|before|bis|hasta)\b|[_-](to|max|end|until|before)\b/.test(words)) return 'to';
  if (/\b(from|min|start|since|after|von|desde)\b|[_-](from|min|start|since|after)\b/.test(words)) return 'from';
  return all.indexOf(box) > 0 ? 'to' : 'from';
}

function commonOf(controls: readonly Element[], page: Document): Element {
  let around: Element = controls[0]!.parentElement ?? page.body;
  while (!controls.every((one) => around.contains(one)) && around.parentElement) around = around.parentElement;
  return around;
}

function whatOf(control: HTMLInputElement | HTMLSelectElement): PageControl['what'] {
  if (control instanceof HTMLSelectElement) {
    return /sort|order|reihen|trier|orden/i.test(
      `${control.name} ${control.id} ${control.labels?.[0]?.textContent ?? ''}`,
    )
      ? 'sort'
      : 'choice';
  }
  if (control.type === 'date' || control.type === 'month' || control.type === 'datetime-local') return 'dates';
  if (control.type === 'number' || control.type === 'range') return 'numbers';
  return control.type === 'checkbox' || control.type === 'radio' ? 'choice' : 'search';
}

function offersOf(control: Element): { value: string; words: string }[] {
  if (control instanceof HTMLSelectElement) {
    return [...control.options].map(({ value, text }) => ({ value, words: text.trim() }));
  }
  const box = control as HTMLInputElement;
  const words = (box.labels?.[0] ?? box).textContent.trim().replace(/\s+/g, ' ');
  return [{ value: box.getAttribute('value') ?? words, words: words || box.value }];
}

/** What the page calls a group of boxes, or one. */
function labelOf(around: Element, control: HTMLInputElement | HTMLSelectElement, isGroup: boolean): string {
  const legend = tidy(around.closest('fieldset')?.querySelector('legend')?.textContent ?? '');
  // what a box of days or numbers is called is which end it is
  if (/^(date|number|month|datetime-local)$/.test(control.type)) return legend;
  if (isGroup) return legend || tidy(control.name) || 'Choice';
  const words = [...(control.labels?.[0]?.childNodes ?? [])].filter((one) => one.nodeType === 3);
  const said = control.getAttribute('aria-label') ?? control.getAttribute('placeholder') ?? '';
  const all = [words.map((one) => one.textContent).join(' '), said, legend, control.name];
  return all.map(tidy).find((one) => one !== '') ?? 'Control';
}

const tidy = (words: string) =>
  words
    .trim()
    .replace(/\s+/g, ' ')
    .replace(/[:…]+$/, '')
    .slice(0, 60);

/** A field of the items, as far as it tells what a control drives. */
interface Field {
  key: string;
  type: string;
  terms: readonly string[];
}

/** The field a control is most likely of: one with its values, or called like it, or of its kind alone. */
export function fieldFor({ what, name, label, offers }: PageControl, fields: readonly Field[]): string | null {
  if (what === 'search' || what === 'sort') return null;
  const named = fields.find(({ key }) =>
    [name, stemOf(name), label].some((one) => one !== '' && loose(one) === loose(key)),
  );
  if (what === 'choice') {
    const met = (field: Field) => {
      const terms = new Set(field.terms.map(loose));
      return offers.filter(({ value, words }) => terms.has(loose(value)) || terms.has(loose(words))).length;
    };
    const best = [...fields].sort((a, b) => met(b) - met(a))[0];
    if (best && met(best) > 0) return best.key;
    return named?.key ?? null;
  }
  const wanted = what === 'dates' ? ['date', 'datetime'] : ['number'];
  const apt = fields.filter(({ type }) => wanted.includes(type));
  return (named && apt.includes(named) ? named : apt[0])?.key ?? null;
}

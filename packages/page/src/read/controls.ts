/** A control of the page; a link where it is marked as one. */
export type Control = HTMLInputElement | HTMLSelectElement | HTMLButtonElement | HTMLAnchorElement;

/** Controls of one name that choose one thing together. */
export interface Group {
  /** As the page writes it, and as its addresses have it. */
  name: string;
  /** Names that addresses had for it before, and the one its form sends where that is another. */
  was: string[];
  /** The fields it reads, as the page names them; none for a search in all. */
  reads: string[];
  does: 'choose' | 'search' | 'range';
  controls: Control[];
  match: 'any' | 'all';
  /** Whether one value at most is chosen. */
  single: boolean;
}

/** All on a page that belongs to a list besides its items. */
export interface Controls {
  groups: Group[];
  sort: HTMLSelectElement | null;
  forms: HTMLElement[];
  /** Whether choices wait for a button. */
  waits: boolean;
}

const passedOver = new Set(['hidden', 'submit', 'reset', 'image', 'file', 'password']);
const ranges = new Set(['date', 'number', 'range', 'month', 'datetime-local']);

/** Finds what drives a list. */
export function controlsOf(name: string, root: ParentNode = document): Controls {
  const forms = [...root.querySelectorAll<HTMLElement>(`[data-ivy-for="${CSS.escape(name)}"]`)];
  const found: Controls = { groups: [], sort: null, forms, waits: false };
  for (const form of forms) {
    if (form.dataset.ivyApply === 'button') found.waits = true;
    for (const control of controlsIn(form)) place(control, found);
  }
  return found;
}

function controlsIn(form: HTMLElement): Control[] {
  const marked = [...form.querySelectorAll('a[href]')].filter((link) => nameOf(link) !== '');
  const within =
    form instanceof HTMLFormElement ? [...form.elements] : [...form.querySelectorAll('input, select, button')];
  // a control may be marked alone; one that a facet drawn here stands in the stead of drives nothing
  return [form, ...within, ...marked].filter(
    (one): one is Control =>
      (one instanceof HTMLInputElement ||
        one instanceof HTMLSelectElement ||
        one instanceof HTMLAnchorElement ||
        (one instanceof HTMLButtonElement && one.type === 'button' && nameOf(one) !== '')) &&
      (!one.closest('[data-ivy-facet]') || one.closest('[data-ivy-drawn]') !== null),
  );
}

/** What is said of an element, by itself or by one around it. */
function said(element: Element, name: string): string | null {
  return element.closest(`[${name}]`)?.getAttribute(name) ?? null;
}

/** What a control is called in addresses: as it is marked, or as it is named; a link has no name of its own. */
function nameOf(control: Element): string {
  const own = control instanceof HTMLAnchorElement ? said(control, 'data-ivy-reads') : control.getAttribute('name');
  return (said(control, 'data-ivy-as') ?? own ?? '').trim();
}

function place(control: Control, found: Controls): void {
  if (control instanceof HTMLSelectElement && control.dataset.ivySort !== undefined) {
    found.sort = control;
    return;
  }
  const name = nameOf(control);
  if (passedOver.has(control.type) || name === '') return;
  const before = found.groups.find((group) => group.name === name);
  if (!before) found.groups.push(groupOf(control, name));
  else if (!before.controls.includes(control)) {
    before.controls.push(control);
    const own = control.getAttribute('name') ?? '';
    if (own !== '' && own !== name && !before.was.includes(own)) before.was.push(own);
  }
}

function groupOf(control: Control, name: string): Group {
  const search = control.getAttribute('data-ivy-search');
  const isSearch = search !== null || control.type === 'search' || control.type === 'text';
  const named = search?.trim() ? search.trim().split(/\s+/) : [];
  const before = said(control, 'data-ivy-was')?.split(/\s+/) ?? [];
  return {
    name,
    was: [...before, control.getAttribute('name') ?? ''].filter((one) => one !== '' && one !== name),
    reads: isSearch ? named : [(said(control, 'data-ivy-reads') ?? name).trim()],
    does: isSearch ? 'search' : ranges.has(control.type) ? 'range' : 'choose',
    controls: [control],
    match: said(control, 'data-ivy-match') === 'all' ? 'all' : 'any',
    single: control.type === 'radio' || control.type === 'select-one' || control instanceof HTMLAnchorElement,
  };
}

/** The boxes of a group that something is typed into. */
export function boxesOf({ controls }: Group): HTMLInputElement[] {
  return controls.filter((one) => one instanceof HTMLInputElement);
}

/** What a control stands for, and where its state is told: its label, or itself. */
export interface Choice {
  value: string;
  words: string;
  label: HTMLElement;
  control: Control;
  option: HTMLOptionElement | null;
}

/** The choices of a group, one a box, a button or a line of a list; those that choose nothing are left out. */
export function choicesOf(group: Group): Choice[] {
  return group.controls.flatMap((control): Choice[] => {
    if (control instanceof HTMLSelectElement) {
      return [...control.options].flatMap((option) =>
        option.value === '' ? [] : { value: option.value, words: option.text.trim(), label: option, control, option },
      );
    }
    const label = control instanceof HTMLInputElement ? (control.labels?.[0] ?? control) : control;
    const said = control instanceof HTMLAnchorElement ? valueOfLink(control, group) : control.getAttribute('value');
    const words = wordsOf(label) || (said ?? '');
    return said === '' ? [] : [{ value: said ?? words, words, label, control, option: null }];
  });
}

/** What a link chooses: by its query, where it has one; nothing, where it leads to the page itself; else by its words. */
export function valueOfLink(link: HTMLAnchorElement, { name, was }: Group): string | null {
  const href = link.getAttribute('href') ?? '';
  const asked = new URLSearchParams(/\?([^#]*)/.exec(href)?.[1] ?? '');
  const value = [name, ...was].map((one) => asked.get(one)).find((one) => one !== null);
  if (value !== undefined) return value;
  return href === '' || href.startsWith('?') || link.pathname === location.pathname ? '' : null;
}

/** What a label says, without the numbers that are put in it. */
function wordsOf(label: HTMLElement): string {
  const copy = label.cloneNode(true) as HTMLElement;
  for (const number of copy.querySelectorAll('[data-ivy-number]')) number.remove();
  return copy.textContent.trim().replace(/\s+/g, ' ');
}

/** Whether a choice is made now. */
export function isChosen({ control, option }: Choice): boolean {
  if (option) return option.selected;
  return control instanceof HTMLInputElement ? control.checked : control.getAttribute(stateOf(control)) === 'true';
}

/** The attribute that says whether what is no box is chosen. */
function stateOf(control: Control): string {
  return control instanceof HTMLAnchorElement ? 'aria-current' : 'aria-pressed';
}

export function setChosen({ control, option }: Choice, on: boolean): void {
  if (option) option.selected = on;
  else if (control instanceof HTMLInputElement) control.checked = on;
  else control.setAttribute(stateOf(control), String(on));
}

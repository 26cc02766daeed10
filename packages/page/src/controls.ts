/** A control of the page. */
export type Control = HTMLInputElement | HTMLSelectElement | HTMLButtonElement;

/** Controls of one name that choose one thing together. */
export interface Group {
  /** As the page writes it, and as its addresses have it. */
  name: string;
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
  const within =
    form instanceof HTMLFormElement ? [...form.elements] : [...form.querySelectorAll('input, select, button')];
  return within.filter(
    (one): one is Control =>
      one instanceof HTMLInputElement ||
      one instanceof HTMLSelectElement ||
      (one instanceof HTMLButtonElement && one.type === 'button' && one.name !== ''),
  );
}

function place(control: Control, found: Controls): void {
  if (control instanceof HTMLSelectElement && control.dataset.ivySort !== undefined) {
    found.sort = control;
    return;
  }
  if (passedOver.has(control.type) || control.name === '') return;
  const before = found.groups.find(({ name }) => name === control.name);
  if (before) before.controls.push(control);
  else found.groups.push(groupOf(control));
}

function groupOf(control: Control): Group {
  const said = (name: string) => control.closest(`[${name}]`)?.getAttribute(name) ?? null;
  const search = control.getAttribute('data-ivy-search');
  const isSearch = search !== null || control.type === 'search' || control.type === 'text';
  const named = search?.trim() ? search.trim().split(/\s+/) : [];
  return {
    name: control.name,
    reads: isSearch ? named : [(said('data-ivy-reads') ?? control.name).trim()],
    does: isSearch ? 'search' : ranges.has(control.type) ? 'range' : 'choose',
    controls: [control],
    match: said('data-ivy-match') === 'all' ? 'all' : 'any',
    single: control.type === 'radio' || control.type === 'select-one',
  };
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
    const words = wordsOf(label) || control.value;
    const hasValue = control.hasAttribute('value');
    const value = hasValue ? control.value : words;
    return hasValue && value === '' ? [] : [{ value, words, label, control, option: null }];
  });
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
  return control instanceof HTMLInputElement ? control.checked : control.getAttribute('aria-pressed') === 'true';
}

export function setChosen({ control, option }: Choice, on: boolean): void {
  if (option) option.selected = on;
  else if (control instanceof HTMLInputElement) control.checked = on;
  else control.setAttribute('aria-pressed', String(on));
}

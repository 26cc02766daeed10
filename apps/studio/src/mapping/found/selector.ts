/** Names of classes and ids that say what something is, rather than which or in what state. */
function isStable(name: string): boolean {
  return (
    /^[\w-]{1,60}$/.test(name) &&
    !/\d{3,}/.test(name) &&
    !/^(is|has|js)-|^(active|current|selected|open|first|last|odd|even|hidden)$/.test(name)
  );
}

const stableClasses = (element: Element) => [...element.classList].filter(isStable);

/**
 * A short selector that finds an element alone.
 * @param within  where it is looked for: a page, or an element the selector is to start from
 */
export function selectorOf(element: Element, within: ParentNode): string {
  const isAlone = (selector: string) => {
    const found = within.querySelectorAll(selector);
    return found.length === 1 && found[0] === element;
  };
  const step = ownSteps(element).find(isAlone);
  if (step) return step;
  const parent = element.parentElement;
  const place = placeOf(element);
  if (!parent || parent === within) return `:scope > ${place}`;
  if (parent.tagName === 'BODY') return `body > ${place}`;
  const best = ownSteps(element)
    .map((own) => `${selectorOf(parent, within)} > ${own}`)
    .find(isAlone);
  return best ?? `${selectorOf(parent, within)} > ${place}`;
}

/** Ways to name an element by itself, the most telling first. */
export function ownSteps(element: Element): string[] {
  const tag = element.tagName.toLowerCase();
  const name = element.getAttribute('name');
  const itemprop = element.getAttribute('itemprop');
  const classes = stableClasses(element).map((one) => `.${CSS.escape(one)}`);
  return [
    ...(element.id !== '' && isStable(element.id) ? [`#${CSS.escape(element.id)}`] : []),
    ...(itemprop ? [`[itemprop="${CSS.escape(itemprop)}"]`] : []),
    ...(name && /^(INPUT|SELECT|BUTTON|TEXTAREA)$/.test(element.tagName) ? [`${tag}[name="${CSS.escape(name)}"]`] : []),
    ...classes,
    ...classes.map((one) => tag + one),
    ...(classes.length > 1 ? [tag + classes.join('')] : []),
    tag,
  ];
}

function placeOf(element: Element): string {
  const tag = element.tagName.toLowerCase();
  const same = [...(element.parentElement?.children ?? [])].filter((one) => one.tagName === element.tagName);
  return same.length === 1 ? tag : `${tag}:nth-of-type(${same.indexOf(element) + 1})`;
}

/**
 * A selector that finds in every item what one element is in its own: among those that find just it there, or it and its
 * like beside it, the one that most items have.
 */
export function selectorInItems(element: Element, item: Element, items: readonly Element[]): string {
  if (element === item) return ':scope';
  const steps = ownSteps(element).filter((one) => !one.startsWith('#'));
  const parent = element.parentElement!;
  const path = parent === item ? ':scope' : selectorInItems(parent, item, items);
  const candidates = [...steps, ...steps.map((one) => `${path} > ${one}`), `${path} > ${placeOf(element)}`];
  const isApt = (selector: string) => {
    const found = [...item.querySelectorAll(selector)];
    return found.includes(element) && found.every((one) => one.parentElement === parent && isLike(one, element));
  };
  const reach = (selector: string) => items.filter((one) => one.querySelector(selector) !== null).length;
  const apt = candidates.filter(isApt);
  const most = Math.max(0, ...apt.map(reach));
  return apt.find((one) => reach(one) === most) ?? candidates.at(-1)!;
}

/** Whether two elements are of one make: a tag, and the classes that say what it is. */
export function isLike(a: Element, b: Element): boolean {
  if (a.tagName !== b.tagName) return false;
  const [own, other] = [stableClasses(a), stableClasses(b)];
  // a cell or a paragraph without a class is told from another by its place alone
  if (own.length === 0 && other.length === 0) return a === b || !/^(TD|TH|DD|DT|P|DIV|H\d)$/.test(a.tagName);
  return own.some((one) => other.includes(one));
}

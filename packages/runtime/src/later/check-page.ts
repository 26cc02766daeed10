import { commonFindings, showFindings, type Finding } from '@ivy/page/check-panel';
import { contrastOf, groundOf, textColourOf } from './contrast.js';

/** Elements of ours; what they draw stands in them. */
const tags = 'ivy-lens, ivy-facets, ivy-facet, ivy-chips, ivy-count, ivy-sort, ivy-results, ivy-pager';

/** What a page may move by at most as it is drawn, by the Core Web Vitals. */
const mostShift = 0.1;
/** Texts that are looked at for how well they can be read. */
const mostTexts = 600;
/** Bytes above which a picture that is shown small is worth a word. */
const largePicture = 100_000;

/** Shows on the page itself what of an installation of our elements stands there, measured as it stands. */
export async function checkPage(): Promise<void> {
  const shift = shiftOf();
  await drawn();
  showFindings(sorted(findingsOf(document, await shift)));
}

/** All that is found out about the elements of ours on a page; what to do first comes first. */
export function findingsOf(page: Document, shift: number | null): Finding[] {
  const elements = [...page.querySelectorAll<HTMLElement>(tags)];
  const findings: Finding[] = [];
  const say = (holds: boolean, title: string, mend = '') => findings.push({ holds, title, mend });
  const scripts = page.querySelectorAll('script[src*="/ivy-lens.js"]').length;
  say(
    scripts === 1,
    scripts === 1 ? 'The script is there once' : `The script is there ${scripts} times`,
    'Take all but one away.',
  );
  say(
    elements.length > 0,
    elements.length > 0 ? `Elements of ours: ${elements.length}` : 'There is no element of ours',
    'Put <ivy-lens name="…"> where the listing is to stand.',
  );
  for (const name of new Set(elements.map((one) => one.getAttribute('name') ?? ''))) {
    const own = elements.filter((one) => (one.getAttribute('name') ?? '') === name);
    const problem = own.map((one) => one.querySelector('[role=alert]')?.textContent.trim()).find((one) => one);
    const isDrawn = own.some((one) => one.childElementCount > 0);
    say(
      isDrawn && !problem,
      `“${name}” ${problem ? `says: ${problem}` : isDrawn ? 'is drawn' : 'is not drawn'}`,
      'Is it released, and may this page ask for it? Check the page on its Publish place.',
    );
  }
  if (shift !== null) {
    const room = Math.round(elements.find((one) => one.localName === 'ivy-lens')?.offsetHeight ?? 0);
    const mend =
      room > 0 ? `Keep its room: style="display:block;min-height:${room}px"` : 'Keep room for what comes late.';
    say(shift <= mostShift, `The page moves by ${shift.toFixed(2)} as it is drawn, ${mostShift} at most is good`, mend);
  }
  findings.push(
    contrastFinding(elements),
    ...pictureFindings(elements),
    styleFinding(page, elements),
    ...commonFindings(page),
  );
  return findings;
}

function sorted(findings: readonly Finding[]): Finding[] {
  return [...findings.filter(({ holds }) => !holds), ...findings.filter(({ holds }) => holds)];
}

/** Waits until nothing of ours is on its way any more, but not for long. */
async function drawn(): Promise<void> {
  for (let i = 0; i < 40; i++) {
    await new Promise((done) => setTimeout(done, 100));
    const all = [...document.querySelectorAll<HTMLElement>('ivy-lens')];
    if (all.every((one) => one.dataset.status !== undefined && one.dataset.status !== 'loading') && i > 9) return;
  }
}

/** By how much the page moved as it was drawn; null where a browser does not tell. */
async function shiftOf(): Promise<number | null> {
  if (typeof PerformanceObserver === 'undefined') return null;
  if (!PerformanceObserver.supportedEntryTypes.includes('layout-shift')) return null;
  let sum = 0;
  const observer = new PerformanceObserver((list) => {
    for (const entry of list.getEntries() as (PerformanceEntry & { value: number; hadRecentInput: boolean })[]) {
      if (!entry.hadRecentInput) sum += entry.value;
    }
  });
  observer.observe({ type: 'layout-shift', buffered: true });
  await drawn();
  observer.disconnect();
  return sum;
}

/** The text of ours that is the hardest to read: 4.5 is asked for, and 3 of large letters (WCAG 2.2, 1.4.3). */
function contrastFinding(elements: readonly HTMLElement[]): Finding {
  let worst: { share: number; ratio: number; words: string } | null = null;
  let seen = 0;
  for (const element of elements.flatMap((one) => [...one.querySelectorAll<HTMLElement>('*')])) {
    const words = [...element.childNodes].find(
      (one) => one.nodeType === 3 && one.textContent!.trim() !== '',
    )?.textContent;
    if (!words || element.closest('[hidden], svg, [disabled]') || seen++ > mostTexts) continue;
    const style = getComputedStyle(element);
    const [text, ground] = [textColourOf(style), groundOf(element)];
    if (!text || !ground) continue;
    const size = parseFloat(style.fontSize);
    const isLarge = size >= 24 || (size >= 18.66 && Number(style.fontWeight) >= 700);
    const ratio = contrastOf(text, ground);
    const share = ratio / (isLarge ? 3 : 4.5);
    if (!worst || share < worst.share) worst = { share, ratio, words: words.trim().slice(0, 40) };
  }
  if (!worst) return { holds: true, title: 'No text to be read', mend: '' };
  const holds = worst.share >= 1;
  const title = `The hardest to read is “${worst.words}”, with a contrast of ${worst.ratio.toFixed(1)}`;
  return { holds, title, mend: 'Set --ivy-ink and --ivy-ground for the page, or choose colours on the bench.' };
}

/** Pictures that are far larger than they are shown. */
function pictureFindings(elements: readonly HTMLElement[]): Finding[] {
  const pictures = elements
    .flatMap((one) => [...one.querySelectorAll('img')])
    .filter((one) => one.complete && one.naturalWidth > 0);
  const large = pictures.filter((one) => {
    const [entry] = performance.getEntriesByName?.(one.currentSrc) ?? [];
    const bytes = (entry as PerformanceResourceTiming | undefined)?.encodedBodySize ?? Infinity;
    const shown = one.clientWidth * Math.max(1, devicePixelRatio);
    // drawings have no size of their own to speak of
    return shown > 0 && one.naturalWidth > shown * 2.5 && bytes > largePicture && !/\.svg(\?|$)/.test(one.currentSrc);
  });
  if (pictures.length === 0) return [];
  const [first] = large;
  const title = first
    ? `${large.length} of ${pictures.length} pictures are far larger than they are shown: ${first.naturalWidth} for ${first.clientWidth} px`
    : `${pictures.length} pictures fit their places`;
  return [{ holds: !first, title, mend: 'Give smaller ones, or name their sizes on the bench.' }];
}

/** Whether rules of the page reach into what is drawn here, other than by our names. */
function styleFinding(page: Document, elements: readonly HTMLElement[]): Finding {
  const inside = elements.map((one) => [...one.querySelectorAll('*')]).flat();
  const reaching = new Set<string>();
  let count = 0;
  for (const rule of [...page.styleSheets].flatMap(rulesIn)) {
    count++;
    const { selectorText } = rule;
    // what names us means us, and what is said of everything is said of everything
    if (/ivy|^(\*|:root|html|body)\b/i.test(selectorText) || !/[.#\w]/.test(selectorText)) continue;
    if (inside.some((one) => one.matches(selectorText))) reaching.add(selectorText);
  }
  const some = [...reaching].slice(0, 3).join(', ');
  const title =
    reaching.size > 0
      ? `${reaching.size} of ${count} rules of the page reach into the listing: ${some}`
      : `None of ${count} rules of the page reaches into the listing`;
  return {
    holds: reaching.size === 0,
    title,
    mend: 'They win over ours. Where that is not meant, have them begin with what is around the page’s own.',
  };
}

/** Rules of a sheet that stand in no layer; those of other sites can’t be looked at. */
function rulesIn(sheet: CSSStyleSheet): CSSStyleRule[] {
  const plain = (rules: CSSRuleList): CSSStyleRule[] =>
    [...rules].flatMap((rule) => {
      if ('selectorText' in rule) return [rule as CSSStyleRule];
      return 'media' in rule && 'cssRules' in rule ? plain((rule as CSSMediaRule).cssRules) : [];
    });
  try {
    return plain(sheet.cssRules);
  } catch {
    return [];
  }
}

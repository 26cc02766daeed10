import type { Mark } from '@ivy/core';
import type { PageFacts } from '@ivy/formats/page';
import { letsIn } from './policy.js';

/** One thing of an installation that stands or does not. */
export interface CheckFinding {
  /** Stable: what programs go by. */
  code: string;
  ok: boolean;
  text: string;
  /** What to do, with the very line where there is one; '' where it stands. */
  mend: string;
}

/** What of a lens an installation is held to. */
export interface Installed {
  slug: string;
  /** Number of the release; null where there is none. */
  release: number | null;
  /** Pages that may ask for answers. */
  origins: readonly string[];
  /** Every parameter name of the lens. */
  names: readonly string[];
  /** What is marked on a page of its own, with how often it is there; null where the lens draws its own listing. */
  marks: readonly (Mark & { found: number })[] | null;
}

/** Where a page is, and what it may load. */
export interface Installation {
  address: string;
  policies: readonly string[];
}

/** Holds a page to what a listing needs there; what to do first comes first. */
export function checkPage(facts: PageFacts, page: Installation, lens: Installed, studio: string): CheckFinding[] {
  const found: CheckFinding[] = [];
  const say = (code: string, ok: boolean, text: string, mend = '') =>
    found.push({ code, ok, text, mend: ok ? '' : mend });
  checkScript(facts, page, lens, studio, say);
  if (lens.marks) checkMarks(lens.marks, page.address, lens.slug, studio, say);
  else checkElements(facts, lens, say);
  say(
    'released',
    lens.release !== null,
    lens.release === null ? 'The lens has no release' : `Release ${lens.release} is live`,
    'Publish it: visitors get what is released.',
  );
  const { origin } = new URL(page.address);
  const isAllowed = lens.origins.includes('*') || lens.origins.includes(origin);
  say(
    'origin',
    isAllowed,
    isAllowed ? `${origin} may ask for answers` : `${origin} may not ask for answers`,
    `Add ${origin} to the origins of the lens.`,
  );
  // where the page's own controls drive the list, their names are meant to be the lens's
  if (!lens.marks) checkNames(facts, lens, say);
  say(
    'ids',
    facts.twice.length === 0,
    facts.twice.length === 0 ? 'No id stands twice' : `The id “${facts.twice[0]}” stands twice`,
    'Give one of them another.',
  );
  const { skipped } = facts;
  say(
    'headings',
    skipped === null,
    skipped === null
      ? 'Headings are in order'
      : `After a heading of level ${skipped[0]} comes one of level ${skipped[1]}`,
    'Let no level be left out.',
  );
  return [...found.filter(({ ok }) => !ok), ...found.filter(({ ok }) => ok)];
}

/** The script that the lens needs on a page, there once and let in. */
function checkScript(facts: PageFacts, page: Installation, { slug, marks }: Installed, studio: string, say: Say): void {
  const file = marks ? 'ivy-page.js' : 'ivy-lens.js';
  const reads = marks ? ` data-ivy-name="${slug}"` : '';
  const scripts = facts.scripts.filter(({ address }) => new URL(address).pathname.endsWith(`/${file}`));
  const line = `<script type="module" src="${studio}/embed/${file}"${reads}></script>`;
  const [script] = scripts;
  const said = script ? `The script is there, from ${new URL(script.address).origin}` : 'The script is not on the page';
  say('script', script !== undefined, said, line);
  if (!script) return;
  const isOnce = scripts.length === 1;
  say(
    'script-once',
    isOnce,
    isOnce ? 'It is there once' : `It is there ${scripts.length} times`,
    'Take all but one away.',
  );
  const { isModule } = script;
  say(
    'script-module',
    isModule,
    isModule ? 'It is a module' : 'It is not marked as a module, so it does not run',
    line,
  );
  if (marks) {
    const isNamed = scripts.some(({ lens }) => lens === slug);
    say(
      'script-name',
      isNamed,
      isNamed ? `It reads the marks of “${slug}”` : `It is not told to read the marks of “${slug}”`,
      line,
    );
  }
  checkPolicy(script.address, page, say, marks === null);
}

/** What is marked on the page: each is there, or is gone. */
function checkMarks(marks: Installed['marks'] & object, page: string, slug: string, studio: string, say: Say): void {
  const mend = `Show it anew: ${studio}/lenses/${slug}/page`;
  const items = marks.find(({ says }) => says.item !== undefined)?.found ?? 0;
  say('items', items > 0, items > 0 ? `${items} items on the page` : `No item of the list is at ${page}`, mend);
  const gone = marks.filter(({ found }) => found === 0);
  for (const { at, says } of gone.slice(0, 20)) {
    const what = Object.entries(says).map(([name, value]) => `${name} ${value}`.trim());
    say('mark', false, `Gone from the page: “${at}”, which is ${what.join(', ')}`, mend);
  }
  if (gone.length === 0) say('mark', true, `All ${marks.length} marks find something`);
}

type Say = (code: string, ok: boolean, text: string, mend?: string) => void;

function checkPolicy(script: string, { address, policies }: Installation, say: Say, hasStyles: boolean): void {
  const { origin } = new URL(script);
  if (policies.length === 0) return say('policy', true, 'No policy keeps it out');
  const needs = [
    ['script-src-elem', origin, 'the script', `script-src ${origin}`],
    ['connect-src', origin, 'its questions', `connect-src ${origin}`],
    ['style-src-elem', "'unsafe-inline'", 'its styles', "style-src 'unsafe-inline'"],
  ] as const;
  for (const [directive, source, what, mend] of needs) {
    // a page of its own is left its own styles
    if (directive === 'style-src-elem' && !hasStyles) continue;
    const ok = letsIn(policies, directive, source, address);
    say(
      `policy-${directive.split('-')[0]}`,
      ok,
      ok ? `The page’s policy lets in ${what}` : `The page’s policy refuses ${what}`,
      `Content-Security-Policy: … ${mend}`,
    );
  }
}

function checkElements({ elements }: PageFacts, { slug }: Installed, say: Say): void {
  const own = elements.filter(({ name }) => name === slug);
  const others = elements.filter(({ name }) => name !== slug).map(({ name }) => name);
  const near = others.find((name) => name.trim().toLowerCase() === slug) ?? others.find((name) => name === '');
  const line = `<ivy-lens name="${slug}" style="display:block;min-height:100vh"></ivy-lens>`;
  const said =
    own.length > 0
      ? `${own.map(({ tag }) => `<${tag}>`).join(', ')} of this lens`
      : near === undefined
        ? 'No element of this lens is on the page'
        : `An element is named “${near}”, not “${slug}”`;
  say('element', own.length > 0, said, line);
  const whole = own.find(({ tag }) => tag === 'ivy-lens');
  if (whole)
    say(
      'room',
      whole.keepsRoom,
      whole.keepsRoom ? 'Room is kept for it' : 'What stands below it jumps when it comes',
      line,
    );
}

function checkNames({ parameters, elements }: PageFacts, { slug, names }: Installed, say: Say): void {
  const prefix = elements.find(({ name }) => name === slug)?.prefix ?? null;
  const own = prefix === null ? names : names.map((name) => prefix + name);
  const clash = parameters.find((name) => own.includes(name));
  say(
    'parameters',
    clash === undefined,
    clash === undefined
      ? 'No parameter of the page is the lens’s too'
      : `The page uses “${clash}” in its address itself`,
    `<ivy-lens name="${slug}" prefix="l-"></ivy-lens>`,
  );
}

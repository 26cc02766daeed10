import type { PageFacts } from '@ivy/formats';
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
  const scripts = facts.scripts.filter(({ address }) => /\/ivy-lens\.js(\?|$)/.test(address));
  const line = `<script type="module" src="${studio}/embed/ivy-lens.js"></script>`;
  const [script] = scripts;
  say(
    'script',
    script !== undefined,
    script ? `The script is there, from ${new URL(script.address).origin}` : 'The script is not on the page',
    line,
  );
  if (script) {
    say(
      'script-once',
      scripts.length === 1,
      scripts.length === 1 ? 'It is there once' : `It is there ${scripts.length} times`,
      'Take all but one away.',
    );
    say(
      'script-module',
      script.isModule,
      script.isModule ? 'It is a module' : 'It is not marked as a module, so it does not run',
      line,
    );
    checkPolicy(script.address, page, say);
  }
  checkElements(facts, lens, say);
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
  checkNames(facts, lens, say);
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

type Say = (code: string, ok: boolean, text: string, mend?: string) => void;

function checkPolicy(script: string, { address, policies }: Installation, say: Say): void {
  const { origin } = new URL(script);
  if (policies.length === 0) return say('policy', true, 'No policy keeps it out');
  const needs = [
    ['script-src-elem', origin, 'the script', `script-src ${origin}`],
    ['connect-src', origin, 'its questions', `connect-src ${origin}`],
    ['style-src-elem', "'unsafe-inline'", 'its styles', "style-src 'unsafe-inline'"],
  ] as const;
  for (const [directive, source, what, mend] of needs) {
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

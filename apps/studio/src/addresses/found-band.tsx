import { fill, fillPlural, indexRules, textsOf, type Answer, type Indexed, type Lens } from '@ivy/core';
import { useState } from 'react';
import { useSight } from '../bench/drawer/use-sight.js';
import type { DryRuns } from '../dry-run/dry-runs.js';
import { figure } from '../shared/figures.js';
import { hueAttribute, Seed } from '../shared/seed.js';
import { changeIndexed } from './edits.js';
import { SitemapList } from './sitemap-list.js';

interface Props {
  slug: string;
  name: string;
  lens: Lens;
  hues: ReadonlyMap<string, number>;
  dryRuns: DryRuns;
  answer: Answer | undefined;
  onEdit: (lens: Lens, topic?: string) => void;
}

const rules: Record<Indexed, string> = { never: 'never', alone: 'alone', paired: 'alone or with another' };
/** Seeds drawn for the addresses of the sitemap. */
const seedsDrawn = 60;

/** What search engines are told: which addresses they may keep, the sitemap, and what a page is called. */
export function FoundBand({ slug, name, lens, hues, dryRuns, answer, onEdit }: Props) {
  const { seen } = useSight(dryRuns, { name: 'sitemap', lens, address: '', wanted: {} });
  const [isOpen, setOpen] = useState(false);
  const label = (key: string) => answer?.facets.find((facet) => facet.key === key)?.label ?? key;
  const texts = textsOf(lens);
  const example = exampleChoice(answer);
  const setText = (key: 'pageTitle' | 'pageText', text: string) =>
    onEdit({ ...lens, texts: { ...lens.texts, [key]: text } }, key);
  return (
    <section
      aria-label="What search engines are told"
      className="grid shrink-0 grid-cols-[minmax(0,2fr)_minmax(0,1fr)_minmax(0,1.1fr)] border-t border-rule bg-paper max-[1180px]:grid-cols-2 max-[620px]:grid-cols-1"
    >
      <div className="border-e border-rule px-4 py-3">
        <h3 className="serif text-[17px] font-semibold">
          What search engines may keep{' '}
          <span className="remark ms-1 text-[14px] font-normal text-ink-2">facet by facet</span>
        </h3>
        <ul className="mt-1.5 grid grid-cols-[repeat(auto-fill,minmax(132px,1fr))] gap-x-3 gap-y-1">
          {indexRules(lens).map(({ facet, indexed, canSay }) => {
            const hue = hues.get(facet.key)!;
            return (
              <li key={facet.key} {...hueAttribute(hue)} className="flex min-w-0 items-start gap-1.5">
                <span className="mt-[3px]">
                  <Seed hue={hue} size={11} open={indexed === 'never'} />
                </span>
                <label className="min-w-0 text-[13px]">
                  <span className={`block truncate ${indexed === 'never' ? 'text-ink-2' : 'font-semibold'}`}>
                    {label(facet.key)}
                  </span>
                  {canSay ? (
                    <select
                      className="-ms-1 h-[24px] max-w-full rounded-[3px] bg-transparent text-ink-2 hover:bg-sunk"
                      value={indexed}
                      onChange={({ target }) => onEdit(changeIndexed(lens, facet.key, target.value as Indexed))}
                    >
                      {Object.entries(rules).map(([rule, words]) => (
                        <option key={rule} value={rule}>
                          {words}
                        </option>
                      ))}
                    </select>
                  ) : (
                    <span className="text-ink-3">never: no end of them</span>
                  )}
                </label>
              </li>
            );
          })}
        </ul>
      </div>
      <div className="border-e border-rule px-4 py-3">
        <h3 className="serif flex items-baseline justify-between text-[17px] font-semibold">
          {seen ? `${figure(seen.length)} in the sitemap` : 'The sitemap'}
          <button
            type="button"
            className="link font-sans text-[13px] font-normal"
            onClick={() => setOpen(true)}
            disabled={!seen}
          >
            see them
          </button>
        </h3>
        <p className="mt-2 flex flex-wrap gap-[3px]" aria-hidden="true">
          {seen?.slice(0, seedsDrawn).map(({ address, facets }) => (
            <span key={address} className="flex">
              {facets.length === 0 && <span className="size-[9px] rounded-full bg-ink-3" />}
              {facets.map((key) => (
                <span key={key} {...hueAttribute(hues.get(key) ?? 1)}>
                  <Seed hue={hues.get(key) ?? 1} size={10} />
                </span>
              ))}
            </span>
          ))}
        </p>
        <p className="mt-2 text-[13px] text-ink-2">
          Old names lead to the ones in force; later pages are their own.{' '}
          <a className="link" href={`/l/${slug}/sitemap.xml`}>
            The released one
          </a>
        </p>
        {isOpen && seen && <SitemapList {...{ slug, lens, hues }} found={seen} onClose={() => setOpen(false)} />}
      </div>
      <div className="px-4 py-3 max-[1180px]:col-span-2 max-[1180px]:border-t max-[1180px]:border-rule max-[620px]:col-span-1">
        <h3 className="serif text-[17px] font-semibold">What a page is called</h3>
        {(['pageTitle', 'pageText'] as const).map((key) => (
          <label key={key} className="mt-1 flex items-center gap-2 text-[13px]">
            <span className="remark w-[70px] shrink-0 text-ink-2">{key === 'pageTitle' ? 'title' : 'description'}</span>
            <input
              className="field h-[26px] min-w-0 flex-1"
              value={lens.texts[key] ?? ''}
              placeholder={texts[key]}
              maxLength={300}
              onChange={({ target }) => setText(key, target.value)}
            />
          </label>
        ))}
        <p className="mt-2 border-s-2 border-ivy ps-2.5" dir="auto" lang={lens.language}>
          <span className="serif block text-[16px] leading-tight font-semibold">
            {fill(texts.pageTitle, { name, choices: example.choices })}
          </span>
          <span className="text-[13px] text-ink-2">
            {fill(texts.pageText, {
              name,
              choices: example.choices,
              posts: fillPlural(texts.posts, example.count, lens.language),
            })}
          </span>
        </p>
      </div>
    </section>
  );
}

/** The choice with most posts in the first facet that has a few, to show what a page with it would be called. */
function exampleChoice(answer: Answer | undefined): { choices: string; count: number } {
  const lists = (answer?.facets ?? []).flatMap((facet) => ('options' in facet ? [facet.options] : []));
  const options = lists.find(({ length }) => length > 2) ?? lists[0] ?? [];
  const [busiest] = [...options].sort((a, b) => b.count - a.count);
  return { choices: busiest?.label ?? '…', count: busiest?.count ?? 0 };
}

import { ArrowRight, TriangleAlert } from 'lucide-react';
import type { Lens, LensChange } from '@ivy/core';
import { huesOf } from '../bench/edits.js';
import { countOf } from '../shared/figures.js';
import { hueAttribute, Seed } from '../shared/seed.js';

interface Props {
  /** Null where there is nothing to compare with. */
  changes: LensChange[] | null;
  facets: Lens['facets'];
  /** What is compared: “release 4”. */
  before: string;
  after: string;
}

/** What visitors will notice, one by one: as it was, as it becomes, and whether addresses break by it. */
export function ChangesList({ changes, facets, before, after }: Props) {
  const hues = huesOf(facets);
  if (changes === null) {
    return (
      <>
        <h2 className="serif text-[23px] font-semibold">Not on any page yet</h2>
        <p className="mt-1 max-w-lg text-ink-2">
          The first release is what visitors get. After that the draft can change as it likes: they keep the release
          until you publish another.
        </p>
      </>
    );
  }
  if (changes.length === 0) {
    return (
      <>
        <h2 className="serif text-[23px] font-semibold">Visitors have all of it</h2>
        <p className="mt-1 text-ink-2">
          {after === 'the draft' ? 'The draft' : after} reads the same as {before}.
        </p>
      </>
    );
  }
  const broken = changes.filter(({ breaks }) => breaks).length;
  return (
    <>
      <h2 className="serif text-[23px] font-semibold">
        What visitors will notice{' '}
        <span className="remark ms-1 text-[15px] font-normal text-ink-2">{countOf(changes.length, 'thing')}</span>
        {broken > 0 && (
          <span className="remark ms-2 text-[15px] font-normal text-rust">
            {broken === 1 ? 'one breaks addresses' : `${broken} break addresses`}
          </span>
        )}
      </h2>
      <ul className="mt-3 border-t border-rule">
        {changes.map((change) => {
          const hue = change.facet === null ? undefined : hues.get(change.facet);
          return (
            <li
              key={`${change.facet} ${change.title}`}
              className="border-b border-rule py-4"
              {...(hue ? hueAttribute(hue) : {})}
            >
              <p className="serif flex flex-wrap items-center gap-2 text-[16.5px] font-semibold">
                {hue ? <Seed hue={hue} /> : <span className="w-[13px]" />} {change.title}
                {change.breaks && (
                  <span className="flex items-center gap-1 rounded-[3px] bg-rust-soft px-1.5 font-sans text-[12.5px] text-rust">
                    <TriangleAlert size={12} aria-hidden="true" /> breaks addresses
                  </span>
                )}
              </p>
              {change.before !== undefined && change.after !== undefined && (
                <div className="mt-2 grid max-w-xl grid-cols-[1fr_24px_1fr] items-center gap-2 ps-[21px]">
                  <p className="rounded-[3px] border border-rule bg-paper px-3 py-2">
                    <span className="remark block text-[13px] text-ink-3">in {before}</span>
                    {change.before}
                  </p>
                  <ArrowRight size={15} className="mx-auto text-ink-3" aria-label="becomes" />
                  <p className={`rounded-[3px] border px-3 py-2 ${hue ? 'border-hue' : 'border-ivy'} bg-paper`}>
                    <span className="remark block text-[13px] text-ink-3">
                      in {after === 'the draft' ? 'the next' : after}
                    </span>
                    {change.after}
                  </p>
                </div>
              )}
            </li>
          );
        })}
      </ul>
    </>
  );
}

import type { FieldPreview } from '@ivy/client';
import { ArrowRight } from 'lucide-react';
import { Link } from 'react-router';

interface Effect extends Omit<FieldPreview['lenses'][number], 'of'> {
  of: string;
}

/** A release and a draft that it does the same to are told as one. */
function merged(all: FieldPreview['lenses']): Effect[] {
  const words = { release: 'as visitors have it', draft: 'its draft' };
  const same = (a: (typeof all)[number], b: (typeof all)[number]) =>
    a.slug === b.slug && a.problem === b.problem && a.facets.join() === b.facets.join();
  return all.flatMap((one, i): Effect[] => {
    if (all.findIndex((other) => same(one, other)) < i) return [];
    const of = all.filter((other) => same(one, other)).map((other) => words[other.of]);
    return [{ ...one, of: of.join(', and ') }];
  });
}

/** What a change of a field does to the lenses that make something of it. */
export function FieldEffects({ preview, isChanged }: { preview: FieldPreview | null; isChanged: boolean }) {
  const lenses = merged(preview?.lenses ?? []);
  return (
    <aside
      aria-label="Lenses"
      className="shrink-0 border-t border-rule bg-paper px-4 py-4 lg:w-[300px] lg:overflow-y-auto lg:border-s lg:border-t-0"
    >
      <h2 className="serif text-[17px] font-semibold">Lenses</h2>
      {lenses.length === 0 ? (
        <p className="remark mt-1 text-ink-3">{preview ? 'None makes anything of this field.' : ''}</p>
      ) : (
        <ul>
          {lenses.map(({ slug, name, of, facets, before, after, problem }) => (
            <li key={`${slug} ${of}`} className="border-b border-rule py-2.5 last:border-0">
              <p className="flex items-baseline gap-2">
                <Link to={`/lenses/${slug}`} className="font-semibold text-ink hover:text-ivy">
                  {name}
                </Link>
                <span className="remark text-[13px] text-ink-2">{of}</span>
              </p>
              <p className="text-[13px] text-ink-2">
                {facets.length > 0 ? `facet ${facets.join(', ')}` : 'on its cards or in its order'}
              </p>
              {isChanged && problem === null && (
                <p className="mt-0.5 flex items-center gap-1.5">
                  {before} <ArrowRight size={13} className="text-ink-3" aria-label="becomes" /> <b>{after}</b>
                </p>
              )}
              {isChanged && problem !== null && <p className="mt-0.5 font-semibold text-rust">{problem}</p>}
            </li>
          ))}
        </ul>
      )}
      <p className="remark mt-4 text-[14px] text-ink-2">
        The values as they came stay underneath. You can go back at any time.
      </p>
    </aside>
  );
}

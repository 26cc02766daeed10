import type { SourceView, TermView } from '@ivy/client';
import { fieldWithRole, safeAddress } from '@ivy/core';
import { Link } from 'react-router';
import { useApi } from '../../api/api.js';
import { figure } from '../../shared/figures.js';

/** Posts shown of a term. */
const shown = 12;

/** Some of the posts that carry a term. */
export function Carriers({ source, field, term }: { source: SourceView; field: string; term: TermView }) {
  const filter = `${field}:${term.slug}`;
  const query = new URLSearchParams({ filter, size: String(shown) }).toString();
  const { data } = useApi('/api/v1/sources/{slug}/posts', { slug: source.slug }, { keepPreviousData: true }, query);
  const image = fieldWithRole(source.fields, 'image')?.key;
  const all = `/sources/${source.slug}/posts?${new URLSearchParams({ [field]: term.slug }).toString()}`;
  return (
    <section className="section">
      <h3 className="eyebrow flex items-baseline justify-between">
        Posts that carry it
        {term.count > 0 && (
          <Link to={all} className="link text-[13px] font-normal tracking-normal normal-case">
            see the {figure(term.count)}
          </Link>
        )}
      </h3>
      {term.count === 0 && <p className="remark text-ink-3">None; the next ones that name it will.</p>}
      {term.count > 0 && data && (
        <ul className={image ? 'mt-1.5 grid grid-cols-6 gap-1' : 'mt-1 grid gap-0.5'}>
          {data.items.slice(0, image ? shown : 5).map(({ id, title, values }) => {
            const address = image && typeof values[image] === 'string' ? safeAddress(values[image]) : null;
            return (
              <li key={id} className="min-w-0 truncate" title={title}>
                {image ? <Picture address={address} title={title} site={source.site} /> : title}
              </li>
            );
          })}
        </ul>
      )}
    </section>
  );
}

function Picture({ address, title, site }: { address: string | null; title: string; site: string | null }) {
  if (!address)
    return <span className="block aspect-[4/3] overflow-hidden bg-sunk p-0.5 text-[10px] leading-tight">{title}</span>;
  let src = address;
  try {
    src = new URL(address, site ?? location.origin).href;
  } catch {
    // it is drawn as it stands, and shows nothing then
  }
  return (
    <img src={src} alt={title} loading="lazy" className="aspect-[4/3] w-full rounded-[2px] bg-sunk object-cover" />
  );
}

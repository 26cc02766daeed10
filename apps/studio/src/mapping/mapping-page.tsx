import type { LensView, SourceView } from '@ivy/client';
import { useParams, useSearchParams } from 'react-router';
import { mutate } from 'swr';
import { useApi } from '../api/api.js';
import { AppBar } from '../app/app-bar.js';
import { Failed, Loading } from '../shared/states.js';
import { MappingDesk } from './mapping-desk.js';
import { OpenPage } from './open-page.js';
import { usePages } from './use-pages.js';
import { useEffect } from 'react';

/** A lens that is made from a page: the page is given first. */
export function FromPage() {
  return <Pages lens={null} source={null} />;
}

/** The page a lens stands on, and what is marked there. */
export function MappingPage() {
  const { slug = '' } = useParams();
  const lens = useApi('/api/v1/lenses/{slug}', { slug });
  const source = useApi('/api/v1/sources/{slug}', lens.data ? { slug: lens.data.source } : null);
  const error: unknown = lens.error ?? source.error;
  if (error || !lens.data || !source.data) {
    const retry = () => void Promise.all([lens.mutate(), source.mutate()]);
    return (
      <>
        <AppBar
          crumbs={[{ label: 'Sources', to: '/sources' }, { label: slug, to: `/lenses/${slug}` }, { label: 'Mapping' }]}
        />
        {error ? <Failed error={error} retry={retry} /> : <Loading words="Fetching the lens" />}
      </>
    );
  }
  return <Pages key={slug} lens={lens.data} source={source.data} />;
}

function Pages({ lens, source }: { lens: LensView | null; source: SourceView | null }) {
  const pages = usePages();
  const { state, open } = pages;
  const [said] = useSearchParams();
  const known = lens?.draft.markup.page ?? said.get('page') ?? '';
  useEffect(() => {
    if (known !== '') void open(known);
  }, [known, open]);
  const crumbs = lens
    ? [{ label: 'Sources', to: '/sources' }, { label: lens.name, to: `/lenses/${lens.slug}` }, { label: 'Mapping' }]
    : [{ label: 'Sources', to: '/sources' }, { label: 'From a page' }];
  if (state.at === 'there') {
    return (
      <MappingDesk
        lens={lens}
        source={source}
        pages={pages}
        crumbs={crumbs}
        onKept={(view) => void mutate(`/api/v1/lenses/${view.slug}`, view, { revalidate: false })}
      />
    );
  }
  return (
    <>
      <AppBar crumbs={crumbs} />
      <OpenPage pages={pages} isMapped={lens !== null && lens.draft.markup.marks.length > 0} />
    </>
  );
}

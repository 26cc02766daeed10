import type { LensView, SourceView } from '@ivy/client';
import { answered } from '@ivy/core';
import type { ReactNode } from 'react';
import { useParams } from 'react-router';
import { useApi } from '../api/api.js';
import { AppBar } from '../app/app-bar.js';
import { Failed, Loading } from '../shared/states.js';

interface Props {
  /** What is said until they are there. */
  words: string;
  /** Whether it waits for the lens as it is now, rather than showing what is known of it meanwhile. */
  waits?: boolean;
  children: (lens: LensView, source: SourceView) => ReactNode;
}

/** A place that works on the lens its path names, once that and its source are there. */
export function LensPlace({ words, waits = false, children }: Props) {
  const { slug = '' } = useParams();
  // whoever works on a draft holds it from here on, so it is fetched anew on arrival and not behind one's back
  const lens = useApi('/api/v1/lenses/{slug}', { slug }, { revalidateOnReconnect: false, revalidateIfStale: true });
  const source = useApi('/api/v1/sources/{slug}', lens.data ? { slug: lens.data.source } : null);
  const error: unknown = lens.error ?? source.error;
  if (error) {
    return (
      <>
        <AppBar crumbs={[{ label: 'Sources', to: '/sources' }, { label: slug }]} />
        <Failed error={error} retry={() => void Promise.all([lens.mutate(), source.mutate()])} />
      </>
    );
  }
  if (!lens.data || !source.data || (waits && lens.isValidating)) return <Loading words={words} />;
  // what is left out of a source is no matter of its lenses
  return children(lens.data, { ...source.data, fields: answered(source.data.fields) });
}

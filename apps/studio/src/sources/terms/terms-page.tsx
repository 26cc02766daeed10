import type { SourceView } from '@ivy/client';
import { holdsTerms, isRemark, suitableFields, type FieldDescription } from '@ivy/core';
import { useParams } from 'react-router';
import { useApi } from '../../api/api.js';
import { AppBar } from '../../app/app-bar.js';
import { Failed, Loading } from '../../shared/states.js';
import { TermRoom } from './term-room.js';

/** The terms of one field, to be shaped. */
export function TermsPage() {
  const { slug = '', key = '' } = useParams();
  const { data: source, error, mutate: again } = useApi('/api/v1/sources/{slug}', { slug }, { keepPreviousData: true });
  const field = source?.fields.find((one) => one.key === key);
  return (
    <div className="flex h-full flex-col">
      <AppBar
        crumbs={[
          { label: 'Sources', to: '/sources' },
          { label: source?.name ?? slug, to: `/sources/${slug}` },
          { label: field?.label ?? key },
        ]}
      />
      {error ? (
        <Failed error={error} retry={() => void again()} />
      ) : !source ? (
        <Loading words="Unfolding the terms" />
      ) : !field || !holdsTerms(field) ? (
        <Failed error={new Error(`“${field?.label ?? key}” holds no terms.`)} retry={() => void again()} />
      ) : (
        <TermRoom
          key={key}
          source={source}
          field={field}
          hue={hueOf(source, field)}
          findings={findingsOf(source, key)}
        />
      )}
    </div>
  );
}

/** The hue the field has on the tray. */
function hueOf(source: SourceView, field: FieldDescription): number {
  return (
    Math.max(
      0,
      suitableFields(source.fields).findIndex(({ key }) => key === field.key),
    ) + 1
  );
}

function findingsOf({ findings }: SourceView, key: string): number {
  return findings.filter((finding) => finding.field === key && !isRemark(finding)).length;
}

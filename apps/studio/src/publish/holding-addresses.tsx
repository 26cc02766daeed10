import { Link } from 'react-router';
import { useApi } from '../api/api.js';
import { countOf } from '../shared/figures.js';

/** Whether saved addresses hold by the draft, before it is published. */
export function HoldingAddresses({ slug }: { slug: string }) {
  const checks = useApi('/api/v1/lenses/{slug}/addresses/check', { slug }, { shouldRetryOnError: false }, 'of=draft');
  const saved = useApi('/api/v1/lenses/{slug}/addresses', { slug }, { shouldRetryOnError: false });
  if (!checks.data || checks.data.length === 0) return null;
  const failing = checks.data.filter(({ holds }) => !holds);
  const said = (id: string) => {
    const one = saved.data?.find((address) => address.id === id);
    return one ? one.name || (one.address === '' ? 'the whole listing' : `?${one.address}`) : '';
  };
  return (
    <section
      aria-label="Saved addresses"
      className={`mb-5 border-s-[3px] px-3.5 py-2 ${failing.length > 0 ? 'border-bad bg-bad-soft' : 'border-ivy bg-ivy-soft'}`}
    >
      <p className="flex flex-wrap items-baseline gap-x-3">
        <b className="font-semibold">
          {failing.length === 0
            ? `${countOf(checks.data.length, 'saved address holds', 'saved addresses hold')}`
            : `${failing.length} of ${countOf(checks.data.length, 'saved address', 'saved addresses')} would not hold`}
        </b>
        <Link to={`/lenses/${slug}/addresses`} className="link text-[13px]">
          {failing.length === 0 ? 'see them' : 'settle them'}
        </Link>
      </p>
      {failing.length > 0 && (
        <ul className="mt-1 grid gap-0.5">
          {failing.slice(0, 6).map(({ id, reasons }) => (
            <li key={id} className="flex flex-wrap items-baseline gap-x-2">
              <span className="mono min-w-0 text-[12.5px] break-all">{said(id)}</span>
              <span className="remark text-bad">{reasons.join('; ')}</span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

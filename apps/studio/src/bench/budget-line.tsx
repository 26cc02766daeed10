import { TriangleAlert } from 'lucide-react';
import { useEffect, useState, type RefObject } from 'react';
import { countOf } from '../shared/figures.js';
import { bytesText, picturesOn, sizesIn, weigh, type PageWeight } from './page-weight.js';

interface Props {
  slug: string;
  frame: RefObject<HTMLIFrameElement | null>;
  address: string;
  /** Goes up each time the draft is saved: what the page asks for weighs something else then. */
  saves: number;
  /** Changes when the page is drawn at another width. */
  width: number;
}

/** Milliseconds in which pictures come and nothing else is asked. */
const calm = 900;

/** What the live page costs a visitor, drawn to scale; red where pictures are larger than they are shown. */
export function BudgetLine({ slug, frame, address, saves, width }: Props) {
  const weight = useWeight({ slug, frame, address, saves, width });
  if (!weight) return <div className={line} />;
  const { script, data, pictures, tooLarge, untold, pictureCount, requests } = weight;
  const parts = [script, data, pictures].map((bytes) => bytes ?? 0);
  const total = parts.reduce((sum, bytes) => sum + bytes, 0);
  return (
    <div className={line} role="group" aria-label="What the page weighs">
      <span className="whitespace-nowrap">
        <span className="remark text-[15px]">Page weighs</span>{' '}
        <b className="font-semibold text-ink">
          {bytesText(total)}
          {untold > 0 ? ' and more' : ''}
        </b>
      </span>
      <svg
        className="h-[7px] w-[86px] shrink-0 bg-sunk"
        viewBox="0 0 100 7"
        preserveAspectRatio="none"
        aria-hidden="true"
      >
        {parts.map((bytes, i) => {
          const start = (100 * parts.slice(0, i).reduce((sum, one) => sum + one, 0)) / Math.max(1, total);
          const fill = ['var(--ink-2)', 'var(--ivy)', tooLarge ? 'var(--bad)' : 'var(--rule-2)'][i];
          return <rect key={fill} x={start} width={(100 * bytes) / Math.max(1, total)} height="7" fill={fill} />;
        })}
      </svg>
      <Part name="script" bytes={script} />
      <Part name="data" bytes={data} />
      {pictureCount > 0 && (
        <span className={`flex min-w-0 items-center gap-1.5 ${tooLarge ? 'text-bad' : ''}`}>
          {tooLarge && <TriangleAlert size={14} className="shrink-0" aria-hidden="true" />}
          <span className="whitespace-nowrap">
            {countOf(pictureCount, 'picture')}{' '}
            {pictures !== null && <b className="font-semibold">{bytesText(pictures)}</b>}
            {untold > 0 && <span className="text-ink-3"> {untold === pictureCount ? '' : `${untold} `}untold</span>}
          </span>
          {tooLarge && (
            <i className="remark truncate" title={`${countOf(tooLarge.count, 'picture')} wider than twice its place`}>
              shown at {tooLarge.shown}, sent at {tooLarge.sent}
            </i>
          )}
        </span>
      )}
      <span className="ms-auto whitespace-nowrap max-[1120px]:hidden">{countOf(requests, 'request')}</span>
    </div>
  );
}

const line =
  'flex h-[27px] shrink-0 items-center gap-3.5 max-[700px]:hidden overflow-hidden border-t border-rule bg-paper px-3 text-[12.5px] text-ink-2';

function Part({ name, bytes }: { name: string; bytes: number | null }) {
  return (
    <span className="whitespace-nowrap">
      {name} <b className="font-semibold">{bytes === null ? '…' : bytesText(bytes)}</b>
    </span>
  );
}

function useWeight({ slug, frame, address, saves, width }: Props): PageWeight | null {
  const [weight, setWeight] = useState<PageWeight | null>(null);
  useEffect(() => {
    const asked = new AbortController();
    const timer = setTimeout(() => {
      void bytesOf(`/api/v1/lenses/${slug}/draft/listing/nothing?${address}`, asked.signal).then((data) => {
        const page = frame.current?.contentWindow;
        if (!page || asked.signal.aborted) return;
        const script = new URL('/embed/ivy-lens.js', location.origin).href;
        setWeight(weigh(picturesOn(page.document), sizesIn(page), script, data));
      });
    }, calm);
    return () => {
      clearTimeout(timer);
      asked.abort();
    };
  }, [slug, frame, address, saves, width]);
  return weight;
}

/** How long a body is as it goes over the wire; null where that can't be told. */
async function bytesOf(path: string, signal: AbortSignal): Promise<number | null> {
  try {
    const response = await fetch(path, { signal });
    await response.arrayBuffer();
    return response.ok ? sizesIn(window)(new URL(path, location.origin).href) : null;
  } catch {
    return null;
  }
}

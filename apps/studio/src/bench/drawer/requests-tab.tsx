import { Check, Copy } from 'lucide-react';
import { Fragment, useState } from 'react';
import { useCopy } from '../../shared/use-copy.js';
import { countOf } from '../../shared/figures.js';
import { bytesText } from '../page-weight.js';
import { JsonTree } from './json-tree.js';
import { curlOf, msText, type PageRequest, type Requests } from './use-requests.js';

/** An answer that takes longer, in ms, is slow, and says where its time went. */
const slow = 200;

/** What went over the wire for the page: its answers, and all that came with it. */
export function RequestsTab({ requests: { answers, loaded } }: { requests: Requests }) {
  const [open, setOpen] = useState<number | null>(null);
  const isKept = loaded.filter((one) => one.isKept).length;
  return (
    <div className="h-full overflow-auto">
      <table className="w-full border-collapse text-[13px]">
        <thead className="sticky top-0 z-[1] bg-raised">
          <tr className="h-[30px] border-b border-rule text-ink-2">
            <th className="ps-3.5 text-start font-normal">What the page asked for</th>
            <th className="w-[86px] px-2 text-end font-normal">Size</th>
            <th className="w-[86px] px-2 text-end font-normal">On the wire</th>
            <th className="w-[96px] px-2 text-end font-normal">On the server</th>
            <th className="w-[150px] px-2 pe-10 text-start font-normal">From</th>
          </tr>
        </thead>
        <tbody>
          {answers.length === 0 && (
            <tr>
              <td colSpan={5} className="remark px-3.5 py-2 text-[15px] text-ink-3">
                The first answer is on its way…
              </td>
            </tr>
          )}
          {answers.map((request) => (
            <Fragment key={request.id}>
              <tr className={`h-[30px] border-b border-rule ${open === request.id ? 'bg-sunk' : ''}`}>
                <th className="max-w-0 ps-3.5 text-start font-normal">
                  <button
                    type="button"
                    aria-expanded={open === request.id}
                    className="mono block w-full truncate text-start text-[12.5px] hover:underline"
                    title={request.url}
                    onClick={() => setOpen(open === request.id ? null : request.id)}
                  >
                    {queryIn(request.url)}
                  </button>
                </th>
                <Figures request={request} />
                <td className="px-2 text-ink-2">{fromWhere(request)}</td>
              </tr>
              {open === request.id && (
                <tr className="border-b border-rule bg-sunk">
                  <td colSpan={5} className="px-3.5 py-2">
                    <Opened request={request} />
                  </td>
                </tr>
              )}
            </Fragment>
          ))}
          {loaded.length > 0 && (
            <tr>
              <th colSpan={5} className="remark px-3.5 pt-2 pb-1 text-start text-[15px] font-normal">
                Loaded with the page: {countOf(loaded.length, 'thing')}
                {isKept > 0 && `, ${isKept} of them the browser had already`}
              </th>
            </tr>
          )}
          {loaded.map((request) => (
            <tr key={request.url} className="h-[26px] border-b border-rule text-ink-2">
              <td className="mono max-w-0 truncate ps-3.5 text-[12.5px]" title={request.url}>
                {request.url}
              </td>
              <Figures request={request} />
              <td className="px-2">{request.isKept ? 'the browser had it' : request.what}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function Figures({ request: { bytes, took, server } }: { request: PageRequest }) {
  const onServer = server.reduce((sum, { ms }) => sum + ms, 0);
  return (
    <>
      <td className="px-2 text-end whitespace-nowrap tabular-nums">{bytes === null ? 'untold' : bytesText(bytes)}</td>
      <td className={`px-2 text-end whitespace-nowrap tabular-nums ${took > slow ? 'font-semibold text-rust' : ''}`}>
        {msText(took)}
      </td>
      <td className="px-2 text-end whitespace-nowrap tabular-nums">{server.length === 0 ? '' : msText(onServer)}</td>
    </>
  );
}

function fromWhere({ status, isKept }: PageRequest): string {
  if (isKept || status === 304) return 'the browser had it';
  return status === 200 ? 'the server' : `the server, ${status}`;
}

/** The address asked for, without what is the same of all. */
function queryIn(url: string): string {
  const at = url.indexOf('?');
  return at < 0 ? '(nothing chosen)' : url.slice(at + 1);
}

/** One answer: where its time went, the same as a command, and what came. */
function Opened({ request }: { request: PageRequest }) {
  const { copied, copy } = useCopy();
  const onServer = request.server.reduce((sum, { ms }) => sum + ms, 0);
  const parts = [
    ...request.server.map(({ name, ms }) => ({ name: partNames[name] ?? name, ms })),
    { name: 'on its way', ms: Math.max(0, request.took - onServer) },
  ];
  return (
    <div className="grid gap-2">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <span className="flex h-[9px] w-[180px] bg-rule" aria-hidden="true">
          {parts.map(({ name, ms }, i) => (
            <span
              key={name}
              style={{ width: `${(100 * ms) / Math.max(0.1, request.took)}%` }}
              className={i === parts.length - 1 ? 'bg-rule-2' : i === 0 ? 'bg-ivy' : 'bg-ink-2'}
            />
          ))}
        </span>
        <span>
          {request.took > slow && <b className="font-semibold text-rust">Slow. </b>}
          {parts.map(({ name, ms }) => `${msText(ms)} ${name}`).join(', ')}
        </span>
        <button
          type="button"
          className="button button-small ms-auto"
          onClick={() => void copy(curlOf(request.url, location.origin))}
        >
          {copied ? <Check size={14} aria-hidden="true" /> : <Copy size={14} aria-hidden="true" />}
          {copied ? 'Copied' : 'Copy as curl'}
        </button>
      </div>
      <JsonTree value={request.body} />
    </div>
  );
}

const partNames: Record<string, string> = { ready: 'until posts and columns were ready', answer: 'counting' };

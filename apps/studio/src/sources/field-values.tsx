import type { FieldPreview } from '@ivy/client';
import { ArrowRight, X } from 'lucide-react';
import { figure } from '../shared/figures.js';

/** Values of a field as they came, as they are read, and as they would be. */
export function FieldValues({
  preview,
  isChanged,
  isStale,
}: {
  preview: FieldPreview;
  isChanged: boolean;
  isStale: boolean;
}) {
  const { filled, read, rows, after } = preview;
  const unread = filled - read;
  return (
    <section
      className={`mt-5 transition-opacity motion-reduce:transition-none ${isStale ? 'opacity-60' : ''}`}
      aria-label="Values"
      aria-busy={isStale}
    >
      <p className="flex flex-wrap items-baseline gap-x-3">
        <span>
          <b className="serif text-[23px] font-semibold">{figure(after.left ? 0 : read)}</b>{' '}
          <span className="text-ink-2">of {figure(filled)} can be read</span>
        </span>
        {unread > 0 && !after.left && <span className="font-semibold text-rust">{figure(unread)} cannot</span>}
        {after.type === 'terms' && <span className="text-ink-2">{figure(after.distinct)} terms</span>}
        {after.spread && (
          <span className="text-ink-2">
            {after.spread.low} to {after.spread.high}
          </span>
        )}
      </p>
      {rows.length === 0 ? (
        <p className="remark mt-2 text-ink-3">No post has a value here.</p>
      ) : (
        <div className="mt-2 overflow-x-auto" tabIndex={0} role="region" aria-label="Some of its values">
          <table className="w-full border-collapse">
            <thead>
              <tr className="remark border-b border-rule-2 text-start text-[14px] text-ink-2">
                <th scope="col" className="w-12 py-1 pe-3 text-end font-normal">
                  row
                </th>
                <th scope="col" className="py-1 pe-3 text-start font-normal">
                  as it came
                </th>
                <th scope="col" className={`py-1 pe-3 text-start font-normal ${isChanged ? 'max-sm:hidden' : ''}`}>
                  {isChanged ? 'as it is read' : 'read as'}
                </th>
                {isChanged && (
                  <th scope="col" className="py-1 text-start font-normal text-hue-text">
                    as it would be
                  </th>
                )}
              </tr>
            </thead>
            <tbody>
              {rows.map(({ record, raw, before, after: would }) => {
                const isWrong = (isChanged ? would : before) === null && !after.left;
                return (
                  <tr key={record} className={`border-b border-rule ${isWrong ? 'bg-rust-soft text-rust' : ''}`}>
                    <td className="py-1.5 pe-3 text-end text-[13px] text-ink-3">{record}</td>
                    <td className="mono max-w-[150px] truncate sm:max-w-[240px] py-1.5 pe-3 text-[12.5px]">{raw}</td>
                    <td className={`max-w-[240px] truncate py-1.5 pe-3 ${isChanged ? 'max-sm:hidden' : ''}`}>
                      {before ?? 'not read'}
                    </td>
                    {isChanged && (
                      <td className="max-w-[150px] truncate bg-hue-ground sm:max-w-[240px] py-1.5 ps-2">
                        {would === null ? (
                          <span className="inline-flex items-center gap-1.5">
                            <X size={13} aria-hidden="true" /> {after.left ? 'left out' : 'not read'}
                          </span>
                        ) : (
                          <span className="inline-flex items-center gap-1.5">
                            <ArrowRight size={13} className="text-ink-3" aria-hidden="true" /> {would}
                          </span>
                        )}
                      </td>
                    )}
                  </tr>
                );
              })}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}

import type { LookView } from '@ivy/client';
import { countOf, figure } from '../../shared/figures.js';
import { typeWords } from '../../shared/type-words.js';

/** The first records as they would be read, field by field; and rows that can't be. */
export function FirstRows({ look, isOld }: { look: LookView; isOld: boolean }) {
  const { fields, rows, records, rejected } = look;
  return (
    <>
      <p className="mb-3 flex flex-wrap items-baseline gap-x-3">
        <span className="serif text-[23px] font-semibold">{countOf(records, 'post')}</span>
        <span className="remark text-[15px] text-ink-2">
          with {countOf(fields.length, 'field')}; these are the first {figure(rows.length)}
        </span>
      </p>
      {rejected.count > 0 && (
        <details className="mb-3 border-s-4 border-rust bg-rust-soft px-3 py-2">
          <summary className="font-semibold text-rust">
            {countOf(rejected.count, 'row')} can’t be read, and {rejected.count === 1 ? 'is' : 'are'} set aside
          </summary>
          <ul className="mt-1 text-[13px]">
            {rejected.first.map(({ line, record, reason }, i) => (
              <li key={i}>
                <b className="font-semibold">{line === undefined ? `No. ${record}` : `Line ${line}`}:</b> {reason}
              </li>
            ))}
          </ul>
        </details>
      )}
      <div
        className={`overflow-x-auto border border-rule-2 bg-raised ${isOld ? 'opacity-60' : ''}`}
        tabIndex={0}
        role="region"
        aria-label="First posts"
      >
        <table className="w-max min-w-full text-[13px]">
          <thead>
            <tr className="border-b-2 border-rule-2 text-start">
              {fields.map(({ key, label, type, role }) => (
                <th key={key} scope="col" className="px-3 py-2 text-start align-bottom font-normal">
                  <span className="mono block font-semibold">{label}</span>
                  <span className="remark text-ink-2">{role ?? typeWords[type]}</span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row, i) => (
              <tr key={i} className="border-b border-rule last:border-0">
                {row.map((cell, column) => (
                  <td key={column} className="max-w-[260px] px-3 py-1.5 align-top">
                    <span dir="auto" className="line-clamp-2 break-words">
                      {cell}
                    </span>
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </>
  );
}

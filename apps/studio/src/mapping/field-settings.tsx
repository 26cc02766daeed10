import { Row, type HandProps } from './hand-parts.js';
import { typeWords } from '../shared/type-words.js';

/** What a field is called and read as, and what it holds in all items. */
export function FieldSettings({ mark, field, reading, onChange, onRename }: HandProps) {
  const { says } = mark;
  const total = reading.items.length;
  return (
    <>
      <Row label="Name">
        {(id) => (
          <input
            id={id}
            key={says.field}
            className="field h-[28px] w-full"
            defaultValue={says.field}
            maxLength={60}
            onBlur={({ target }) => target.value.trim() !== '' && onRename(target.value.trim())}
            onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
          />
        )}
      </Row>
      <Row label="Reads as">
        {(id) => (
          <select
            id={id}
            className="field h-[28px] w-full"
            value={says.type ?? ''}
            onChange={({ target }) => onChange({ type: target.value || undefined })}
          >
            <option value="">{`what it looks like: ${(field && typeWords[field.type]) ?? 'text'}`}</option>
            {(['text', 'terms', 'date', 'number', 'boolean'] as const).map((type) => (
              <option key={type} value={type}>
                {typeWords[type]}
              </option>
            ))}
          </select>
        )}
      </Row>
      <Row label="Parted by">
        {(id) => (
          <input
            id={id}
            key={says.split ?? ''}
            className="field mono h-[28px] w-16"
            defaultValue={says.split ?? ''}
            placeholder="none"
            maxLength={5}
            onBlur={({ target }) => onChange({ split: target.value.trim() || undefined })}
            onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
          />
        )}
      </Row>
      <Row label="Takes">
        {(id) => (
          <select
            id={id}
            className="field h-[28px] w-full"
            value={says.from ?? ''}
            onChange={({ target }) => onChange({ from: target.value || undefined })}
          >
            <option value="">its text</option>
            {[
              ...new Set(['href', 'src', 'alt', 'title', 'datetime', 'data-value', ...(says.from ? [says.from] : [])]),
            ].map((name) => (
              <option key={name} value={name}>{`its ${name}`}</option>
            ))}
          </select>
        )}
      </Row>
      {field && (
        <section className="border-t border-rule px-4 py-3">
          <p className="flex items-baseline justify-between">
            <b>{field.filled === total ? `In all ${total} items` : `In ${field.filled} of ${total} items`}</b>
            {field.lacks.length > 0 && (
              <span className="text-[13px] text-rust">
                none in{' '}
                {field.lacks
                  .slice(0, 4)
                  .map((at) => at + 1)
                  .join(', ')}
                {field.lacks.length > 4 && ' …'}
              </span>
            )}
          </p>
          <Bar part={field.filled} of={total} />
          <ul className="mt-2">
            {field.terms.slice(0, 12).map(({ label, count }) => (
              <li key={label} className="flex items-center gap-2 py-0.5">
                <span className="truncate">{label}</span>
                <span
                  className="ms-auto h-[7px] rounded-[1px] bg-hue-half"
                  style={{ width: `${(count / (field.terms[0]?.count ?? 1)) * 70}px` }}
                />
                <span className="w-8 text-end text-ink-2">{count}</span>
              </li>
            ))}
            {field.terms.length === 0 &&
              field.samples.slice(0, 4).map((one) => (
                <li key={one} className="truncate py-0.5 text-ink-2">
                  {one}
                </li>
              ))}
          </ul>
          {field.terms.length > 12 && <p className="remark mt-1 text-ink-3">and {field.terms.length - 12} more</p>}
        </section>
      )}
    </>
  );
}

function Bar({ part, of }: { part: number; of: number }) {
  return (
    <div className="mt-1.5 h-[4px] bg-rust-soft" aria-hidden="true">
      <div className="h-full bg-hue" style={{ width: `${of === 0 ? 0 : (part / of) * 100}%` }} />
    </div>
  );
}

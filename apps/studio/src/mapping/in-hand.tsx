import { Trash2 } from 'lucide-react';
import { hueAttribute, Seed } from '../shared/seed.js';
import { ControlSettings } from './control-settings.js';
import { FieldSettings } from './field-settings.js';
import { Row, type HandProps } from './hand-parts.js';
import { roleOf } from './marks.js';
import { PlaceSettings } from './place-settings.js';

/** The mark in hand: what it says, and what it meets. */
export function InHand(props: HandProps) {
  const { mark, label, hue, found, onMove, onRemove } = props;
  const role = roleOf(mark);
  const what = {
    list: 'the list',
    item: 'an item',
    field: 'a field',
    control: 'a control of the page',
    place: 'a place',
    detail: '',
  };
  return (
    <div {...(hue ? hueAttribute(hue) : {})}>
      <header
        className={`flex items-center gap-2.5 border-b border-rule px-4 py-3 ${hue ? 'bg-hue-ground' : 'bg-raised'}`}
      >
        {hue && <Seed hue={hue} size={16} />}
        <h2 className="serif min-w-0 truncate text-[20px] font-semibold">{label}</h2>
        <span className="remark shrink-0 text-ink-2">{what[role]}</span>
        {role !== 'list' && role !== 'item' && (
          <button
            type="button"
            className="icon-button ms-auto"
            aria-label={`Take the mark of ${label} away`}
            title="Take away"
            onClick={onRemove}
          >
            <Trash2 size={15} />
          </button>
        )}
      </header>
      {found === 0 && (
        <p className="border-b border-rule bg-rust-soft px-4 py-2.5 text-rust" role="status">
          <b>Gone from the page.</b> Nothing there is what this mark looks for. Press it anew, or write where it is now.
        </p>
      )}
      {role === 'field' && <FieldSettings {...props} />}
      {role === 'control' && <ControlSettings {...props} />}
      {role === 'place' && <PlaceSettings {...props} />}
      <Row label="Where it is">
        {(id) => (
          <input
            id={id}
            key={mark.at}
            className="field mono h-[28px] w-full text-[12px]"
            defaultValue={mark.at}
            spellCheck={false}
            maxLength={500}
            onBlur={({ target }) =>
              target.value.trim() !== '' && target.value !== mark.at && onMove(target.value.trim())
            }
            onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
          />
        )}
      </Row>
      <p className="px-4 pb-3 text-[13px] text-ink-2">
        {mark.in === 'item'
          ? `in ${found} of ${props.reading.perPage[0] ?? 0} items on this page`
          : `${found} on this page`}
      </p>
    </div>
  );
}

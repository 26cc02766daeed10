import { Search } from 'lucide-react';
import { useEffect, useId, useRef, useState, type KeyboardEvent } from 'react';
import { closeModal, Modal } from '../shared/modal.js';
import { figure } from '../shared/figures.js';
import { hueAttribute, Seed } from '../shared/seed.js';
import { allItems, findItems, type PaletteItem } from './palette-items.js';
import { rankItems } from './rank-items.js';
import { useRecent } from './use-recent.js';

/** How long, in ms, typing rests before what must be looked for is. */
const pause = 120;

/** One box for all there is: what one types is found among places, facets, terms, posts, addresses and actions. */
export function Palette({ onClose }: { onClose: () => void }) {
  return (
    <Modal
      label="Find anything"
      className="mt-[100px] mb-auto ms-auto me-3 max-h-[calc(100vh-130px)] w-[min(560px,calc(100vw-24px))] overflow-hidden border border-ink-2 p-1 max-[1100px]:mx-auto max-[1100px]:mt-3 max-[1100px]:w-[calc(100vw-24px)]"
      onClose={onClose}
    >
      <Finder />
    </Modal>
  );
}

function Finder() {
  const list = useRef<HTMLDivElement>(null);
  const [text, setText] = useState('');
  const [at, setAt] = useState(0);
  const [here] = useState(allItems);
  const found = useFound(text);
  const { recent, remember } = useRecent();
  const id = useId();
  const groups = rankItems([...here, ...found], text, recent);
  const flat = groups.flatMap(({ items }) => items);
  const current = flat[Math.min(at, flat.length - 1)];
  useEffect(() => {
    list.current?.querySelector('[aria-selected=true]')?.scrollIntoView({ block: 'nearest' });
    current?.point?.(true);
    return () => current?.point?.(false);
  }, [current]);
  const done = (item: PaletteItem, isShift: boolean) => {
    item.point?.(false);
    remember(item.id);
    closeModal(list.current);
    (isShift && item.shift ? item.shift.run : item.run)();
  };
  const keys = (event: KeyboardEvent) => {
    const last = flat.length - 1;
    const to = (next: number) => {
      event.preventDefault();
      setAt(next < 0 ? last : next > last ? 0 : next);
    };
    if (event.key === 'ArrowDown') to(at + 1);
    if (event.key === 'ArrowUp') to(at - 1);
    if (event.key === 'Tab' && current) {
      const place = groups.findIndex(({ items }) => items.includes(current));
      const step = event.shiftKey ? groups.length - 1 : 1;
      to(flat.indexOf(groups[(place + step) % groups.length]!.items[0]!));
    }
    if (event.key === 'Enter' && current) {
      event.preventDefault();
      done(current, event.shiftKey);
    }
  };
  return (
    <div className="flex max-h-[calc(100vh-140px)] flex-col border border-rule">
      <label className="flex items-center gap-3 border-b border-rule px-4 py-2.5">
        <Search size={18} className="text-ivy" aria-hidden="true" />
        <input
          autoFocus
          role="combobox"
          aria-label="Find anything"
          aria-expanded={flat.length > 0}
          aria-controls={id}
          aria-activedescendant={current ? `${id}-${flat.indexOf(current)}` : undefined}
          className="serif min-w-0 flex-1 bg-transparent text-[22px] outline-none"
          value={text}
          maxLength={200}
          spellCheck={false}
          autoComplete="off"
          onChange={({ target }) => {
            setText(target.value);
            setAt(0);
          }}
          onKeyDown={keys}
        />
        <span className="text-[13px] text-ink-3" role="status">
          {flat.length === 0 ? 'none' : `${flat.length} found`}
        </span>
      </label>
      <div ref={list} id={id} role="listbox" aria-label="What is found" className="min-h-0 flex-1 overflow-y-auto">
        {groups.map(({ kind, items }) => (
          <div
            key={kind}
            role="group"
            aria-label={kind}
            className="grid grid-cols-[92px_minmax(0,1fr)] border-b border-rule last:border-b-0 max-sm:grid-cols-1"
          >
            <span className="remark px-4 py-1.5 text-[15px] text-ink-2 max-sm:pb-0" aria-hidden="true">
              {kind}
            </span>
            <div className="min-w-0">
              {items.map((item) => (
                <Row
                  key={item.id}
                  id={`${id}-${flat.indexOf(item)}`}
                  item={item}
                  isAt={item === current}
                  onAt={() => setAt(flat.indexOf(item))}
                  onDo={(isShift) => done(item, isShift)}
                />
              ))}
            </div>
          </div>
        ))}
        {flat.length === 0 && <p className="remark px-4 py-5 text-ink-2">Nothing here is called that.</p>}
      </div>
      <p
        className="flex items-center gap-2 border-t border-rule bg-paper px-4 py-1.5 text-[13px] text-ink-2 max-sm:hidden"
        aria-hidden="true"
      >
        <kbd className="key-cap">↑</kbd>
        <kbd className="key-cap">↓</kbd> walk <kbd className="key-cap ms-2">Tab</kbd> next kind
        <kbd className="key-cap ms-2">Enter</kbd> do it <kbd className="key-cap ms-2">Esc</kbd> leave
      </p>
    </div>
  );
}

/** What must be looked for, such as posts, once typing rests. */
function useFound(text: string): readonly PaletteItem[] {
  const [found, setFound] = useState<readonly PaletteItem[]>([]);
  useEffect(() => {
    const left = new AbortController();
    const timer = setTimeout(() => {
      if (text.trim() === '') return setFound([]);
      void findItems(text.trim(), left.signal).then((items) => !left.signal.aborted && setFound(items));
    }, pause);
    return () => {
      left.abort();
      clearTimeout(timer);
    };
  }, [text]);
  return found;
}

interface RowProps {
  id: string;
  item: PaletteItem;
  isAt: boolean;
  onAt: () => void;
  onDo: (isShift: boolean) => void;
}

function Row({ id, item: { label, note, hue, count, does, shift }, isAt, onAt, onDo }: RowProps) {
  return (
    <div
      id={id}
      role="option"
      aria-selected={isAt}
      {...(hue ? hueAttribute(hue) : {})}
      className={`cursor-pointer border-s-[3px] px-3 py-1.5 ${isAt ? 'border-hue bg-hue-ground' : 'border-transparent'}`}
      onMouseMove={onAt}
      onClick={({ shiftKey }) => onDo(shiftKey)}
    >
      <span className="flex min-w-0 items-baseline gap-2">
        {hue && (
          <span className="self-center">
            <Seed hue={hue} size={12} />
          </span>
        )}
        <span className="truncate font-semibold">{label}</span>
        {note && <span className="remark min-w-0 flex-1 truncate text-ink-2">{note}</span>}
        {count !== undefined && <span className="ms-auto">{figure(count)}</span>}
      </span>
      {isAt && (does ?? shift) && (
        <span className="mt-1 flex flex-wrap gap-2 text-[13px]">
          {does && (
            <span className="flex items-center gap-1.5">
              {does} <kbd className="key-cap">Enter</kbd>
            </span>
          )}
          {shift && (
            <span className="flex items-center gap-1.5">
              {shift.does} <kbd className="key-cap">Shift Enter</kbd>
            </span>
          )}
        </span>
      )}
    </div>
  );
}

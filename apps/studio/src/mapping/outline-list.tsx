import type { Mark } from '@ivy/core';
import { Plus, TriangleAlert } from 'lucide-react';
import type { ReactNode } from 'react';
import { hueAttribute, Seed } from '../shared/seed.js';
import { idOf, placeOf, roleOf } from './marks.js';
import { placeWords } from './words.js';

export interface OutlineRow {
  id: string;
  name: string;
  /** What stands at its end, such as how many items have it. */
  end: string;
  hue?: number | null;
  isWrong?: boolean;
}

/** Something found on the page that is not marked yet. */
export interface Offer {
  name: string;
  end: string;
  take: () => void;
}

interface Props {
  groups: { title: string; rows: OutlineRow[] }[];
  offers: { title: string; offers: Offer[]; takeAll?: () => void }[];
  hand: string | null;
  onTake: (id: string) => void;
}

/** What is marked on the page, and what could be. */
export function OutlineList({ groups, offers, hand, onTake }: Props) {
  return (
    <nav
      aria-label="What is marked"
      className="shrink-0 overflow-y-auto border-rule bg-paper max-lg:max-h-[40vh] max-lg:border-b lg:w-[224px] lg:border-e lg:pb-4"
    >
      {groups.map(({ title, rows }) => (
        <Group key={title} title={title} count={rows.length}>
          {rows.map(({ id, name, end, hue, isWrong }) => (
            <li key={id}>
              <button
                type="button"
                aria-current={hand === id}
                className={`flex w-full items-center gap-2 px-3.5 py-1 text-start hover:bg-raised ${hand === id ? 'bg-ivy-soft' : ''}`}
                onClick={() => onTake(id)}
                {...(hue ? hueAttribute(hue) : {})}
              >
                {hue ? <Seed hue={hue} size={11} /> : <span className="w-[11px]" />}
                <span className="truncate font-semibold">{name}</span>
                <span className="leader" aria-hidden="true" />
                {isWrong && <TriangleAlert size={12} className="shrink-0 text-rust" aria-label="Look at this:" />}
                <span className={`shrink-0 text-[12.5px] ${isWrong ? 'font-semibold text-rust' : 'text-ink-2'}`}>
                  {end}
                </span>
              </button>
            </li>
          ))}
        </Group>
      ))}
      {offers.map(
        ({ title, offers: all, takeAll }) =>
          all.length > 0 && (
            <Group key={title} title={title} count={all.length} takeAll={all.length > 1 ? takeAll : undefined}>
              {all.map(({ name, end, take }, i) => (
                <li key={i}>
                  <button
                    type="button"
                    className="flex w-full items-center gap-2 px-3.5 py-1 text-start text-ink-2 hover:bg-raised hover:text-ink"
                    onClick={take}
                  >
                    <Plus size={12} className="shrink-0 text-ivy" />
                    <span className="truncate">{name}</span>
                    <span className="leader" aria-hidden="true" />
                    <span className="max-w-[96px] shrink-0 truncate text-[12.5px] text-ink-3">{end}</span>
                  </button>
                </li>
              ))}
            </Group>
          ),
      )}
    </nav>
  );
}

interface GroupProps {
  title: string;
  count: number;
  takeAll?: (() => void) | undefined;
  children: ReactNode;
}

function Group({ title, count, takeAll, children }: GroupProps) {
  return (
    <section className="border-b border-rule pt-2.5 pb-2">
      <h2 className="remark flex items-baseline px-3.5 pb-0.5 text-[15.5px]">
        {title}
        {takeAll ? (
          <button
            type="button"
            className="link ms-auto inline-flex min-h-6 items-center font-sans text-[12.5px] not-italic"
            onClick={takeAll}
          >
            take all {count}
          </button>
        ) : (
          <span className="ms-auto font-sans text-[12.5px] text-ink-3 not-italic">{count === 0 ? '' : count}</span>
        )}
      </h2>
      <ul>{children}</ul>
    </section>
  );
}

/** What a mark is called in the outline. */
export function nameOfMark(mark: Mark, label: string | undefined): string {
  const { says } = mark;
  const role = roleOf(mark);
  if (role === 'field') return says.field!;
  if (role === 'control') return label ?? says.as ?? says.reads ?? says.facet ?? 'Control';
  const place = placeOf(says);
  return place ? placeWords[place]! : idOf(mark);
}

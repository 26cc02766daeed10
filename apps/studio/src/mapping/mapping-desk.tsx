import type { LensView, SourceView } from '@ivy/client';
import type { Mark } from '@ivy/core';
import { Globe, RefreshCw } from 'lucide-react';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { AppBar } from '../app/app-bar.js';
import { countOf, figure } from '../shared/figures.js';
import { Steps } from '../shared/steps.js';
import { useUndoKeys } from '../shared/use-undo-keys.js';
import { listsAround, listsOn } from './found/alike.js';
import { InHand } from './in-hand.js';
import { Keeping } from './keeping.js';
import { NothingInHand } from './nothing-in-hand.js';
import * as edits from './marks.js';
import { idOf, roleOf } from './marks.js';
import { nameOfMark, OutlineList, type Offer, type OutlineRow } from './outline-list.js';
import { allAt, elementsOf, itemsOf, nameIn, outlinesOf } from './outlines.js';
import { controlOf, controlsOn, fieldFor, type PageControl } from './found/page-controls.js';
import { pageDocument } from './found/page-document.js';
import { placesOn } from './found/page-places.js';
import { PageFrame } from './page-frame.js';
import { guessPlace, hoverOf, type Tool } from './presses.js';
import { fieldOf, proposeFields } from './found/propose-fields.js';
import { readPages } from './read-pages.js';
import { selectorOf } from './found/selector.js';
import type { usePages } from './use-pages.js';
import { useSteps } from './use-steps.js';
import { kindWords, placeWords } from './words.js';
import { Written } from './written.js';

interface Props {
  lens: LensView | null;
  source: SourceView | null;
  pages: ReturnType<typeof usePages>;
  crumbs: readonly { label: string; to?: string }[];
  onKept: (view: LensView) => void;
}

const toolWords: [Tool, string][] = [
  ['item', 'an item'],
  ['field', 'a field'],
  ['control', 'a control'],
  ['place', 'a place'],
];

/** A page in hand: what is pressed on it is marked, and what is marked is read as visitors' pages will read it. */
export function MappingDesk({ lens, source, pages, crumbs, onKept }: Props) {
  const { state, open, follow, mayFollow } = pages;
  if (state.at !== 'there') throw new Error('There is no page to mark.');
  const first = state.pages[0]!;
  const page = useMemo(() => pageDocument(first.html), [first]);
  const steps = useSteps<Mark[]>(lens?.draft.markup.marks ?? []);
  const marks = steps.now;
  useUndoKeys(steps.undo, steps.redo);
  const reading = useMemo(() => readPages(state.pages, marks), [state.pages, marks]);
  const [tool, setTool] = useState<Tool>(marks.length === 0 ? 'item' : 'field');
  const [hand, setHand] = useState<string | null>(null);
  const [hovered, setHovered] = useState<Element | null>(null);

  useEffect(() => {
    if (marks.length > 0 && mayFollow(reading.next)) void follow(reading.next);
  }, [marks.length, reading.next, follow, mayFollow]);

  const items = useMemo(() => itemsOf(page, marks), [page, marks]);
  const fieldKeys = useMemo(() => marks.flatMap(({ says }) => says.field ?? []), [marks]);
  const hueOf = useCallback(
    (field: string) => {
      const at = fieldKeys.indexOf(field);
      return at < 0 ? null : at + 1;
    },
    [fieldKeys],
  );
  const list = useMemo(() => {
    const mark = marks.find((one) => roleOf(one) === 'list');
    return mark ? (allAt(page, mark.at)[0] ?? null) : null;
  }, [page, marks]);
  const ownControls = useMemo(() => controlsOn(page, list), [page, list]);
  const change = (next: Mark[], inHand?: string | null) => {
    steps.set(next);
    if (inHand !== undefined) setHand(inHand);
  };

  const labels = useMemo(
    () =>
      new Map(
        marks.flatMap((mark): [string, string][] => {
          if (roleOf(mark) !== 'control') return [];
          const own = ownControls.find(({ at }) => at === mark.at);
          return own && own.label !== '' ? [[nameIn(mark, page), own.label]] : [];
        }),
      ),
    [marks, ownControls, page],
  );
  const fields = reading.fields.map(({ key, type, terms }) => ({ key, type, terms: terms.map(({ label }) => label) }));

  const placeOffers = useMemo(() => (list ? placesOn(page, list, items.length) : []), [page, list, items.length]);

  const takeControl = (control: PageControl) => {
    const next = edits.addControl(marks, control, fieldFor(control, fields), fields);
    change(next, `page ${control.at}`);
    setTool('control');
  };
  const press = (element: Element) => {
    if (tool === 'item') {
      const [alike] = listsAround(element);
      if (!alike) return;
      change(edits.setList(marks, alike), `page ${alike.at.item}`);
      setTool('field');
    } else if (tool === 'field') {
      const item = items.find((one) => one.contains(element));
      if (!item) return;
      const marked = marks.find((mark) => roleOf(mark) === 'field' && elementsOf(page, mark, [item]).includes(element));
      if (marked) return setHand(idOf(marked));
      const found = fieldOf(element, item, items, fieldKeys);
      if (found) change(edits.addField(marks, found), `item ${found.at}`);
    } else if (tool === 'control') {
      const near =
        element.closest('input, select') ??
        element.closest('label')?.querySelector('input, select') ??
        element.querySelector('input, select');
      if (!near || list?.contains(near)) return;
      const control = controlOf(near as HTMLInputElement, page);
      const marked = marks.find((mark) => idOf(mark) === `page ${control.at}`);
      if (marked) setHand(idOf(marked));
      else takeControl(control);
    } else {
      // a press on one of its links is a press on the pager
      const known = placeOffers.find(({ at }) => allAt(page, at)[0]?.contains(element));
      const { what, at } = known ?? { what: guessPlace(element), at: selectorOf(element, page) };
      change(edits.addPlace(marks, what, at), `page ${at}`);
    }
  };

  const outlines = useMemo(() => {
    const all = outlinesOf(page, marks, reading, hand, hueOf);
    return hovered ? [...all, ...hoverOf(hovered, tool, items, page)] : all;
  }, [page, marks, reading, hand, hueOf, hovered, tool, items]);

  const inHand = marks.find((mark) => idOf(mark) === hand);
  const foundOf = (mark: Mark) => reading.found[marks.indexOf(mark)] ?? 0;
  const labelOf = (mark: Mark) => {
    const role = roleOf(mark);
    if (role === 'list') return 'List';
    if (role === 'item') return 'Item';
    return nameOfMark(mark, labels.get(nameIn(mark, page)));
  };
  const rowOf = (mark: Mark): OutlineRow => {
    const found = foundOf(mark);
    const row = {
      id: idOf(mark),
      name: labelOf(mark),
      hue: hueOf(mark.says.field ?? mark.says.reads ?? mark.says.facet ?? ''),
    };
    if (found === 0) return { ...row, end: 'gone', isWrong: true };
    if (mark.says.field !== undefined) {
      const read = reading.fields.find(({ key }) => key === mark.says.field);
      const lacks = read?.lacks.length ?? 0;
      return {
        ...row,
        end: lacks === 0 ? figure(read?.filled ?? 0) : `${lacks} have none`,
        isWrong: lacks > reading.items.length / 2,
      };
    }
    if (roleOf(mark) === 'control') {
      if (mark.says.sort !== undefined)
        return { ...row, end: countOf(reading.orders, 'order'), isWrong: reading.orders === 0 };
      const control = reading.controls.find(({ key }) => key === nameIn(mark, page));
      const missed = control?.values.filter(({ term }) => term === null).length ?? 0;
      if (!control) return { ...row, end: 'drives nothing', isWrong: true };
      return missed > 0
        ? { ...row, end: `${missed} differ`, isWrong: true }
        : { ...row, end: kindWords[control.kind] ?? control.kind };
    }
    return {
      ...row,
      end: roleOf(mark) === 'item' ? `${found} alike` : roleOf(mark) === 'list' ? 'one' : String(found),
    };
  };
  const groups = [
    { title: 'The list', rows: marks.filter((mark) => ['list', 'item'].includes(roleOf(mark))).map(rowOf) },
    { title: 'Fields', rows: marks.filter((mark) => roleOf(mark) === 'field').map(rowOf) },
    { title: 'Controls', rows: marks.filter((mark) => roleOf(mark) === 'control').map(rowOf) },
    { title: 'Places', rows: marks.filter((mark) => roleOf(mark) === 'place').map(rowOf) },
  ];

  const listOffers = useMemo(() => (items.length === 0 ? listsOn(page) : []), [items.length, page]);
  const fieldOffers = useMemo(() => {
    const marked = marks.flatMap(({ at, says }) => (says.field === undefined ? [] : { at, key: says.field }));
    return proposeFields(items, marked);
  }, [items, marks]);
  const controlOffers = ownControls.filter(({ at }) => !marks.some((mark) => mark.at === at));
  const offers: { title: string; offers: Offer[]; takeAll?: () => void }[] = [
    {
      title: 'Lists on the page',
      offers: listOffers.map((alike) => ({
        name: alike.items[0]!.textContent.trim().replace(/\s+/g, ' ').slice(0, 40) || alike.at.item,
        end: `${alike.items.length} alike`,
        take: () => {
          change(edits.setList(marks, alike), `page ${alike.at.item}`);
          setTool('field');
        },
      })),
    },
    {
      title: 'Also in the items',
      takeAll: () => change(fieldOffers.reduce<Mark[]>(edits.addField, marks), null),
      offers: fieldOffers.map((proposal) => ({
        name: proposal.key,
        end: proposal.samples[0] ?? '',
        take: () => change(edits.addField(marks, proposal), `item ${proposal.at}`),
      })),
    },
    {
      title: 'Controls on the page',
      takeAll: () => {
        const add = (all: Mark[], one: PageControl) => edits.addControl(all, one, fieldFor(one, fields), fields);
        change(controlOffers.reduce<Mark[]>(add, marks), null);
      },
      offers:
        items.length === 0
          ? []
          : controlOffers.map((control) => ({
              name: control.label,
              end: whatWords[control.what],
              take: () => takeControl(control),
            })),
    },
  ];

  const freePlaces = placeOffers.filter(({ at }) => !marks.some((mark) => mark.at === at));
  offers.push({
    title: 'Places on the page',
    takeAll: () =>
      change(
        freePlaces.reduce<Mark[]>((all, { what, at }) => edits.addPlace(all, what, at), marks),
        null,
      ),
    offers: freePlaces.map(({ what, at, words }) => ({
      name: placeWords[what]!,
      end: words,
      take: () => change(edits.addPlace(marks, what, at), `page ${at}`),
    })),
  });

  const isKept = lens !== null && JSON.stringify(lens.draft.markup.marks) === JSON.stringify(marks);
  const address = first.address === '' ? 'a file' : first.address.replace(/^https?:\/\//, '');
  return (
    <div className="flex min-h-full flex-col lg:h-full">
      <AppBar crumbs={crumbs}>
        <Keeping
          lens={lens}
          source={source}
          mapped={{ page: first, marks, reading, labels }}
          isKept={isKept}
          title={page.title}
          onKept={onKept}
        />
        <Steps canUndo={steps.canUndo} canRedo={steps.canRedo} onUndo={steps.undo} onRedo={steps.redo} />
      </AppBar>
      <section
        aria-label="The page"
        className="flex min-h-[50px] shrink-0 flex-wrap items-center gap-x-3 border-b border-rule bg-raised px-4"
      >
        <Globe size={16} className="shrink-0 text-ink-3" />
        <span className="mono truncate text-[13px] font-semibold">{address}</span>
        <span className="remark text-ink-2" role="status">
          {state.pages.length > 1 && `and ${countOf(state.pages.length - 1, 'page')} after it`}
          {state.following !== null && ', following …'}
        </span>
        {first.address !== '' && (
          <button
            type="button"
            className="icon-button"
            aria-label="Fetch the page again"
            title="Fetch again"
            onClick={() => void open(first.address)}
          >
            <RefreshCw size={15} />
          </button>
        )}
        <span className="ms-auto">
          <Figure n={reading.items.length} words="items, " />
          <Figure n={reading.fields.length} words="fields, " />
          <Figure n={reading.controls.length + (reading.orders > 0 ? 1 : 0)} words="controls" />
        </span>
      </section>
      <div className="flex min-h-0 flex-1 flex-col lg:flex-row">
        <OutlineList
          groups={groups.filter(({ rows }) => rows.length > 0)}
          offers={offers}
          hand={hand}
          onTake={setHand}
        />
        <main className="flex min-w-0 flex-1 flex-col">
          <div className="flex min-h-[38px] shrink-0 flex-wrap items-center gap-x-3 gap-y-1 border-b border-rule bg-paper px-4 py-1">
            <span className="text-ink-2" id="tool">
              Press to name
            </span>
            <span className="flex" role="group" aria-labelledby="tool">
              {toolWords.map(([one, words]) => (
                <button
                  key={one}
                  type="button"
                  aria-pressed={tool === one}
                  disabled={one === 'field' && items.length === 0}
                  className={`-ms-px h-[26px] border px-2.5 text-[13px] first:ms-0 disabled:text-ink-3 ${tool === one ? 'z-10 border-ivy bg-ivy-soft font-semibold text-ivy' : 'border-rule-2 bg-raised'}`}
                  onClick={() => setTool(one)}
                >
                  {words}
                </button>
              ))}
            </span>
            <span className="remark truncate text-ink-3">{hints[tool]}</span>
          </div>
          <div className="squared min-h-0 flex-1 overflow-auto p-2 max-lg:max-h-[70vh] sm:p-4">
            <PageFrame page={page} address={first.address} outlines={outlines} onHover={setHovered} onPress={press} />
          </div>
          <Written slug={lens?.slug ?? null} marks={marks} items={items.length} />
        </main>
        <aside
          aria-label="In hand"
          className="shrink-0 border-rule bg-paper max-lg:border-t lg:w-[312px] lg:overflow-y-auto lg:border-s"
        >
          {inHand ? (
            <InHand
              key={idOf(inHand)}
              mark={inHand}
              label={labelOf(inHand)}
              hue={hueOf(inHand.says.field ?? inHand.says.reads ?? inHand.says.facet ?? '')}
              reading={reading}
              field={reading.fields.find(({ key }) => key === inHand.says.field)}
              control={reading.controls.find(({ key }) => key === nameIn(inHand, page))}
              found={foundOf(inHand)}
              onChange={(says) => change(edits.changeMark(marks, idOf(inHand), says))}
              onMove={(at) => {
                change(
                  marks.map((mark) => (mark === inHand ? { ...mark, at } : mark)),
                  idOf({ ...inHand, at }),
                );
              }}
              onRename={(name) => change(edits.renameField(marks, inHand.says.field!, name))}
              onRemove={() => change(edits.removeMark(marks, idOf(inHand)), null)}
            />
          ) : (
            <NothingInHand notes={reading.notes} hasItems={items.length > 0} />
          )}
        </aside>
      </div>
    </div>
  );
}

const whatWords: Record<PageControl['what'], string> = {
  choice: 'choice',
  search: 'search',
  dates: 'dates',
  numbers: 'numbers',
  sort: 'order',
};

const hints: Record<Tool, string> = {
  item: 'one of them: all like it are found',
  field: 'a day, a label, a title in an item',
  control: 'a box, a list or a search of the page',
  place: 'a number, the pager, what is said when nothing fits',
};

function Figure({ n, words }: { n: number; words: string }) {
  return (
    <>
      <b className="serif text-[23px] font-semibold">{figure(n)}</b>{' '}
      <span className="serif text-[15px] text-ink-2">{words}</span>
    </>
  );
}

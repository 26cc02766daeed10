import { useState, type ReactNode } from 'react';
import { useMedia } from '../shared/use-media.js';
import { addFacet, changeFacet, moveFacet, placeFacet } from './edits.js';
import { SeedsRail } from './narrow/seeds-rail.js';
import { Sheet } from './narrow/sheet.js';
import { Outline } from './outline.js';
import type { BenchParts } from './parts.js';

/** The outline of the lens on the Bench, and what is done to its parts there. */
export function OutlineOfLens(props: BenchParts & { focus: string | null; onHand: () => void; remarks: ReactNode }) {
  const { lens, source, dryRun, hues, problem, dispatch, focus, onHand, remarks } = props;
  const isFolded = useMedia('(max-width: 1099px)');
  const [isOpen, setOpen] = useState(false);
  const onFocus = (key: string | null) => {
    dispatch({ type: 'focus', key });
    setOpen(false);
    onHand();
  };
  const outline = (
    <Outline
      isSheet={isFolded}
      remarks={remarks}
      lens={lens}
      fields={source.fields}
      answer={dryRun?.answer}
      hues={hues}
      focus={focus}
      problem={problem}
      onFocus={isFolded ? onFocus : (key) => dispatch({ type: 'focus', key })}
      onPlace={(key, over) => dispatch({ type: 'edit', lens: placeFacet(lens, key, over) })}
      onMove={(key, by) => dispatch({ type: 'edit', lens: moveFacet(lens, key, by) })}
      onEye={(key) => {
        const { visible } = lens.facets.find((one) => one.key === key)!;
        dispatch({ type: 'edit', lens: changeFacet(lens, key, { visible: !visible }) });
      }}
      onAdd={(field) => {
        const added = addFacet(lens, field);
        dispatch({ type: 'edit', lens: added.lens, focus: added.key });
      }}
      onAddition={(addition) => {
        const added = addition.add(lens, source.fields);
        if (added) dispatch({ type: 'edit', lens: added.lens, focus: added.key });
      }}
    />
  );
  if (!isFolded) return outline;
  return (
    <>
      <SeedsRail {...{ lens, hues, focus, onFocus, onHand }} fields={source.fields} onUnfold={() => setOpen(true)} />
      {isOpen && (
        <Sheet label="Outline" from="side" onClose={() => setOpen(false)}>
          {outline}
        </Sheet>
      )}
    </>
  );
}

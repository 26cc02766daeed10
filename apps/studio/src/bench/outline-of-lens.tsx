import { addFacet, changeFacet, moveFacet, placeFacet } from './edits.js';
import { Outline } from './outline.js';
import type { BenchParts } from './parts.js';

/** The outline of the lens on the Bench, and what is done to its parts there. */
export function OutlineOfLens(props: BenchParts & { focus: string | null }) {
  const { lens, source, dryRun, hues, problem, dispatch, focus } = props;
  return (
    <Outline
      lens={lens}
      fields={source.fields}
      answer={dryRun?.answer}
      hues={hues}
      focus={focus}
      problem={problem}
      onFocus={(key) => dispatch({ type: 'focus', key })}
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
}

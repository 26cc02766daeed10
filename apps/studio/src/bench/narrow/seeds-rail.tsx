import { facetLabel, type FieldDescription, type Lens } from '@ivy/core';
import { LayoutGrid, PanelLeftOpen, SlidersHorizontal } from 'lucide-react';
import { hueAttribute, Seed } from '../../shared/seed.js';

interface Props {
  lens: Lens;
  fields: readonly FieldDescription[];
  hues: ReadonlyMap<string, number>;
  focus: string | null;
  onFocus: (key: string | null) => void;
  onUnfold: () => void;
  /** Opens the settings of what is in hand, where they have no place beside the page. */
  onHand: () => void;
}

/** The outline folded to its seeds, where there is no room for names. */
export function SeedsRail({ lens, fields, hues, focus, onFocus, onUnfold, onHand }: Props) {
  return (
    <nav
      aria-label="Outline"
      className="flex w-[48px] shrink-0 flex-col items-center gap-1 overflow-y-auto border-e border-rule bg-paper py-2 max-sm:h-[48px] max-sm:w-auto max-sm:flex-row max-sm:overflow-x-auto max-sm:[scrollbar-width:none] max-sm:border-e-0 max-sm:border-b max-sm:px-2 max-sm:py-0"
    >
      <button
        type="button"
        className="icon-button !size-[36px] shrink-0"
        aria-label="Unfold the outline"
        title="Unfold the outline"
        onClick={onUnfold}
      >
        <PanelLeftOpen size={17} />
      </button>
      {lens.facets.map((facet) => {
        const hue = hues.get(facet.key)!;
        const label = facetLabel(facet, fields, lens);
        return (
          <button
            key={facet.key}
            type="button"
            {...hueAttribute(hue)}
            data-outline={facet.key}
            aria-label={label}
            aria-current={facet.key === focus ? 'true' : undefined}
            title={label}
            className={`grid size-[36px] shrink-0 place-items-center rounded-[3px] ${facet.key === focus ? 'bg-hue-ground' : 'hover:bg-sunk'}`}
            onClick={() => onFocus(facet.key)}
          >
            <Seed hue={hue} size={16} open={!facet.visible} />
          </button>
        );
      })}
      <button
        type="button"
        aria-label="Cards, order and pages"
        title="Cards, order and pages"
        aria-current={focus === null ? 'true' : undefined}
        className={`grid size-[36px] shrink-0 place-items-center rounded-[3px] text-ink-2 ${focus === null ? 'bg-ivy-soft' : 'hover:bg-sunk'}`}
        onClick={() => onFocus(null)}
      >
        <LayoutGrid size={16} />
      </button>
      <button
        type="button"
        className="icon-button !size-[36px] shrink-0 min-[860px]:hidden"
        aria-label="Open the wiring"
        title="Open the wiring"
        onClick={onHand}
      >
        <SlidersHorizontal size={17} />
      </button>
    </nav>
  );
}

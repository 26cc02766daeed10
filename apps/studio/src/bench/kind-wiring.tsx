import type { Facet, Lens } from '@ivy/core';
import type { OwnProps } from './kinds/kind-desk.js';
import { kindDesks } from './kinds/kind-desks.js';
import { Row, Toggle } from './wiring-parts.js';

/** What only one kind of facet has: how it is laid out, moved and worded. */
export function KindWiring({ facet, onChange }: OwnProps) {
  const { Own } = kindDesks[facet.kind];
  return Own ? <Own facet={facet} onChange={onChange} /> : null;
}

/** When a facet is there: folded at first, waiting for another, one choice at a time. */
export function ThereWiring({
  lens,
  facet,
  labelOf,
  onChange,
}: OwnProps & { lens: Lens; labelOf: (facet: Facet) => string }) {
  const others = lens.facets.filter((other) => other !== facet);
  return (
    <section className="section grid gap-2.5">
      {'single' in facet && (
        <Toggle label="One at a time" on={facet.single} onFlip={(single) => onChange({ single })} />
      )}
      <Toggle
        label="Folded at first"
        hint={kindDesks[facet.kind].unfolds}
        on={facet.folded}
        onFlip={(folded) => onChange({ folded })}
      />
      {others.length > 0 && (
        <Row label="Waits for">
          <select
            className="field w-full pe-1"
            aria-label="Shown once something is chosen in"
            value={facet.dependsOn}
            onChange={(event) => onChange({ dependsOn: event.target.value })}
          >
            <option value="">nothing: always there</option>
            {others.map((other) => (
              <option key={other.key} value={other.key}>
                {`a choice in ${labelOf(other)}`}
              </option>
            ))}
          </select>
        </Row>
      )}
    </section>
  );
}

import { colourNames, colourUses, type ColourName, type Lens } from '@ivy/core';
import { coloursOf, contrastsOf, schemesOf } from '@ivy/view';
import { TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { Segments } from '../../shared/segments.js';
import { setColour } from './edits.js';
import { Reset } from './setting.js';

interface Props {
  lens: Lens;
  onEdit: (lens: Lens, topic?: string) => void;
}

/** The colours of a listing, each with its way back, and how well they can be told apart. */
export function ColoursWiring({ lens, onEdit }: Props) {
  const schemes = schemesOf(lens.look);
  const [wanted, setScheme] = useState<'light' | 'dark'>('light');
  const scheme = schemes.includes(wanted) ? wanted : schemes[0]!;
  const colours = coloursOf(lens.look, scheme);
  return (
    <section className="section">
      <h3 className="eyebrow mb-2">Colours</h3>
      {schemes.length > 1 && (
        <div className="mb-2">
          <Segments label="Colours of" value={scheme} ways={{ light: 'light', dark: 'dark' }} onPick={setScheme} />
        </div>
      )}
      <ul>
        {colourNames.map((name) => (
          <ColourRow
            key={`${scheme} ${name}`}
            name={name}
            value={colours[name]}
            isOwn={lens.look[scheme][name] !== undefined}
            onSet={(value) => onEdit(setColour(lens, scheme, name, value), `colour ${scheme} ${name}`)}
          />
        ))}
      </ul>
      <Contrasts lens={lens} />
    </section>
  );
}

function ColourRow({
  name,
  value,
  isOwn,
  onSet,
}: {
  name: ColourName;
  value: string;
  isOwn: boolean;
  onSet: (value: string | null) => void;
}) {
  const use = colourUses[name];
  const [typed, setTyped] = useState<string | null>(null);
  const isHex = value.startsWith('#');
  const done = () => {
    const hex = longHex(typed ?? '');
    if (hex !== null && hex !== value) onSet(hex);
    setTyped(null);
  };
  return (
    <li className="flex h-[30px] items-center gap-2">
      <input
        type="color"
        className="h-[22px] w-[26px] shrink-0 cursor-pointer rounded-[3px] border border-rule-2 bg-raised p-[2px]"
        aria-label={`Colour of ${use}`}
        value={isHex ? value : '#ffffff'}
        onChange={(event) => onSet(event.target.value)}
      />
      <span className="min-w-0 flex-1 truncate text-[13.5px]" title={`--ivy-${name}`}>
        {use}
      </span>
      <input
        className="field mono w-[86px] text-[12px]"
        aria-label={`${use} as #rrggbb`}
        value={typed ?? (isHex ? value : '')}
        placeholder={value === 'transparent' ? 'none' : 'page’s own'}
        maxLength={7}
        spellCheck={false}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={done}
        onKeyDown={(event) => {
          if (event.key === 'Enter') done();
          if (event.key === 'Escape') setTyped(null);
        }}
      />
      <span className="grid w-[24px]">{isOwn && <Reset of={use} onReset={() => onSet(null)} />}</span>
    </li>
  );
}

/** A colour as `#rrggbb`; null where it is none. */
function longHex(text: string): string | null {
  const digits = /^#?([0-9a-f]{3}|[0-9a-f]{6})$/i.exec(text.trim())?.[1];
  if (digits === undefined) return null;
  return `#${digits.length === 3 ? [...digits].map((one) => one + one).join('') : digits}`.toLowerCase();
}

/** Every pair of colours that has to be told apart, as a bar on one scale; what is under AA is said at once. */
function Contrasts({ lens }: { lens: Lens }) {
  const all = contrastsOf(lens.look);
  const low = all.filter(({ ratio, least }) => ratio < least);
  const both = schemesOf(lens.look).length > 1;
  return (
    <>
      {low.map(({ scheme, what, ratio, least }) => (
        <p key={`${scheme} ${what}`} className="mt-1.5 flex gap-1.5 text-[13px] text-rust" role="status">
          <TriangleAlert size={15} className="mt-px shrink-0" aria-hidden="true" />
          {`${what[0]!.toUpperCase()}${what.slice(1)}${both ? ` in the ${scheme}` : ''} has ${ratio.toFixed(1)} of contrast; AA asks for ${least}.`}
        </p>
      ))}
      {all.length > 0 && (
        <details className="mt-2">
          <summary className="text-[13px] text-ink-2">
            {low.length === 0 ? `All ${all.length} contrasts hold AA` : `${low.length} of ${all.length} under AA`}
          </summary>
          <ul className="mt-1.5 grid gap-1">
            {all.map(({ scheme, what, ratio, least }) => (
              <li key={`${scheme} ${what}`} className="grid grid-cols-[1fr_84px_34px] items-center gap-2 text-[12.5px]">
                <span className="truncate">
                  {what}
                  {both && <span className="text-ink-3">, {scheme}</span>}
                </span>
                <span className="relative block h-[9px] bg-sunk" aria-hidden="true">
                  <span
                    className={`block h-full ${ratio < least ? 'bg-rust' : 'bg-ivy'}`}
                    style={{ width: `${share(ratio)}%` }}
                  />
                  <span
                    className="absolute inset-y-[-2px] border-s border-dashed border-ink"
                    style={{ insetInlineStart: `${share(least)}%` }}
                  />
                </span>
                <span className="mono text-end">{ratio.toFixed(1)}</span>
              </li>
            ))}
          </ul>
        </details>
      )}
    </>
  );
}

/** Where a contrast is on a scale from 1 to 21 that gives each doubling the same room. */
function share(ratio: number): number {
  return (100 * Math.log(ratio)) / Math.log(21);
}

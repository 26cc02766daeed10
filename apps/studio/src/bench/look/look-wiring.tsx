import { cardParts, presetNames, type Lens } from '@ivy/core';
import { lookSheet, presets } from '@ivy/view';
import { Copy } from 'lucide-react';
import { useState } from 'react';
import type { ResultsProps } from '../results/parts.js';
import { ColoursWiring } from './colours-wiring.js';
import { changeLook, choosePreset, setShape } from './edits.js';
import { MatchPage } from './match-page.js';
import { PresetSpecimen } from './preset-specimen.js';
import { Setting, Slider } from './setting.js';
import { TypeWiring } from './type-wiring.js';

const schemes = {
  light: 'light',
  dark: 'dark',
  system: 'as the visitor’s system',
  host: 'as your page',
} as const;

const shapes = { radius: { label: 'Corners', most: 24 }, border: { label: 'Edges', most: 4 } };

/** How a listing looks: a preset, or the page's own look matched, and every part of it by hand. */
export function LookWiring({ lens, slug, fields, onEdit }: ResultsProps) {
  const { look } = lens;
  const preset = presets[look.preset];
  const isOwn = Object.keys(look.light).length + Object.keys(look.dark).length > 0;
  return (
    <>
      <Setting
        label="Preset"
        hint={isOwn ? 'Another preset takes the place of the colours you set.' : undefined}
        onReset={look.preset === 'plain' ? null : () => onEdit(choosePreset(lens, 'plain'))}
      >
        <div className="grid grid-cols-2 gap-2" role="group" aria-label="Preset">
          {presetNames.map((name) => (
            <button
              key={name}
              type="button"
              className="pick flex flex-col overflow-hidden text-start"
              aria-pressed={look.preset === name}
              onClick={() => onEdit(choosePreset(lens, name))}
            >
              <PresetSpecimen preset={name} />
            </button>
          ))}
          <MatchPage lens={lens} onEdit={onEdit} />
        </div>
      </Setting>
      <Setting
        label="Light or dark"
        hint={look.scheme === 'host' ? 'What your page says by its CSS property color-scheme.' : undefined}
        onReset={look.scheme === preset.scheme ? null : () => onEdit(changeLook(lens, { scheme: preset.scheme }))}
      >
        <select
          className="field w-full"
          aria-label="Light or dark"
          value={look.scheme}
          onChange={(event) => onEdit(changeLook(lens, { scheme: event.target.value as Lens['look']['scheme'] }))}
        >
          {Object.entries(schemes).map(([scheme, words]) => (
            <option key={scheme} value={scheme}>
              {words}
            </option>
          ))}
        </select>
      </Setting>
      <ColoursWiring lens={lens} onEdit={onEdit} />
      <TypeWiring lens={lens} onEdit={onEdit} />
      {(['radius', 'border'] as const).map((name) => (
        <Setting
          key={name}
          label={shapes[name].label}
          onReset={look[name] === undefined ? null : () => onEdit(setShape(lens, name, null))}
        >
          <Slider
            label={shapes[name].label}
            value={look[name] ?? preset[name]}
            min={0}
            max={shapes[name].most}
            unit="px"
            onChange={(value) => onEdit(setShape(lens, name, value), name)}
          />
        </Setting>
      ))}
      <Setting label="Room within" onReset={look.space === 100 ? null : () => onEdit(changeLook(lens, { space: 100 }))}>
        <Slider
          label="Room within"
          value={look.space}
          min={60}
          max={180}
          step={5}
          unit="%"
          onChange={(space) => onEdit(changeLook(lens, { space }), 'space')}
        />
      </Setting>
      <Code rules={lookSheet(look, { card: cardParts(lens, fields), facets: lens.facets }, slug)} slug={slug} />
    </>
  );
}

/** What comes of it all: a small sheet that any plain rule of the page wins over. */
function Code({ rules, slug }: { rules: string; slug: string }) {
  const [copied, setCopied] = useState(false);
  const copy = async () => {
    await navigator.clipboard.writeText(rules);
    setCopied(true);
    setTimeout(() => setCopied(false), 2000);
  };
  return (
    <section className="section">
      <details>
        <summary className="eyebrow">The sheet this makes</summary>
        <p className="my-1.5 text-[13px] text-ink-3">
          It comes with the script; you need not add it. Any plain rule of your page wins over it, such as{' '}
          <code className="mono text-[12px]">{`ivy-lens { --ivy-accent: navy }`}</code>.
        </p>
        <div className="relative">
          <button
            type="button"
            className="button button-small absolute end-1.5 top-1.5"
            onClick={() => void copy()}
            aria-live="polite"
          >
            <Copy size={13} aria-hidden="true" /> {copied ? 'Copied' : 'Copy'}
          </button>
          <pre
            className="mono max-h-[320px] overflow-auto border border-rule bg-sunk p-2 text-[11.5px] leading-[1.4]"
            tabIndex={0}
            role="region"
            aria-label={`Sheet of ${slug}`}
          >
            {rules}
          </pre>
        </div>
      </details>
    </section>
  );
}

import type { PresetName } from '@ivy/core';
import { contrastOf, presets } from '@ivy/view';

/** A preset drawn small, in its own colours: a facet with a choice, a chip, a histogram; and how well its texts read. */
export function PresetSpecimen({ preset }: { preset: PresetName }) {
  const { name, scheme, radius, family, ...both } = presets[preset];
  const colours = both[scheme === 'dark' ? 'dark' : 'light'];
  // a preset in the page's own ink is drawn in ink on paper
  const see = (colour: string, otherwise: string) => (colour.startsWith('#') ? colour : otherwise);
  const ground = see(colours.ground, '#ffffff');
  const ink = see(colours.ink, '#1d2b2e');
  const faint = see(colours['ink-2'], '#55635f');
  const accent = see(colours.accent, ink);
  const line = see(colours.line, ink);
  const isFilled = colours.accent.startsWith('#');
  const round = Math.min(radius, 9);
  const box = { x: 8, width: 11, height: 11, rx: preset === 'tideline' ? 5.5 : Math.min(2, radius) };
  const bars = [3, 5, 4, 8, 6, 12, 17, 13];
  return (
    <>
      <svg
        viewBox="0 0 128 76"
        className="block w-full"
        style={{ fontFamily: family ?? 'inherit' }}
        aria-hidden="true"
        fontSize="10.5"
      >
        <rect width="128" height="76" fill={ground} />
        <text x="8" y="15" fill={ink} fontWeight="650" fontStyle={preset === 'herbarium' ? 'italic' : 'normal'}>
          {preset === 'lantern' ? 'HABITAT' : 'Habitat'}
        </text>
        <rect {...box} y="22" fill={isFilled ? accent : 'none'} stroke={isFilled ? accent : ink} />
        <path d="M10.5 27.5l2.2 2.4 4-5" fill="none" stroke={see(colours['on-accent'], ink)} strokeWidth="1.6" />
        <text x="24" y="31.5" fill={isFilled && preset !== 'plain' ? accent : ink} fontWeight="650">
          Mudflat
        </text>
        <text x="120" y="31.5" fill={faint} textAnchor="end">
          38
        </text>
        <rect {...box} y="38" fill={see(colours.page, 'none')} stroke={line} />
        <text x="24" y="47.5" fill={ink}>
          Reedbed
        </text>
        <text x="120" y="47.5" fill={faint} textAnchor="end">
          57
        </text>
        <rect
          x="8"
          y="56"
          width="58"
          height="14"
          rx={Math.min(round, 7)}
          fill={see(colours.chip, 'none')}
          stroke={preset === 'herbarium' || !isFilled ? accent : 'none'}
        />
        <text x="15" y="66.5" fill={see(colours['chip-ink'], ink)} fontSize="9.5">
          Mudflat ×
        </text>
        {bars.map((height, i) => (
          <rect
            key={i}
            x={72 + i * 6}
            y={70 - height}
            width="4.6"
            height={height}
            fill={i > 4 ? accent : see(colours.rule, '#c8c8c8')}
          />
        ))}
      </svg>
      <span className="flex w-full items-baseline justify-between gap-1 px-2 pt-1">
        <span className="font-semibold">{name}</span>
        <span className="mono text-[10.5px] whitespace-nowrap text-ink-2" title="Contrast of text, and of fainter text">
          {isFilled ? [ink, faint].map((one) => contrastOf(one, ground)!.toFixed(1)).join('·') : 'yours'}
        </span>
      </span>
      <span className="block px-2 pb-1.5 text-[12.5px] leading-tight font-normal text-ink-2">
        {presets[preset].words}
      </span>
    </>
  );
}

import { facetLabel, kindOf, usableFields, type DryRun, type Lens } from '@ivy/core';
import type { SourceView } from '@ivy/client';
import { choicesOf, choose, writeChoices } from '@ivy/view';
import type { Dispatch } from 'react';
import { useApi } from '../api/api.js';
import type { DryRuns } from '../dry-run/dry-runs.js';
import { usePaletteItems, type PaletteItem } from '../palette/palette-items.js';
import type { BenchAction } from './bench-state.js';
import type { DrawerState, DrawerTab } from './drawer/use-drawer.js';
import { addFacet, changeFacet } from './edits.js';
import type { Prospect } from './ghost/use-ghost.js';

interface Props {
  slug: string;
  lens: Lens;
  source: SourceView;
  dryRun: DryRun | null;
  dryRuns: DryRuns;
  address: string;
  hues: ReadonlyMap<string, number>;
  drawer: DrawerState;
  dispatch: Dispatch<BenchAction>;
  go: (address: string) => void;
  point: (at: Prospect | null) => void;
  undo: () => void;
  redo: () => void;
  publish: () => void;
}

/** Posts named at most. */
const postsShown = 5;

/** What the Bench has for the palette: its facets and their terms, posts, saved addresses, and what can be done. */
export function useBenchItems(props: Props): void {
  const { slug, lens, source, dryRun, dryRuns, address, hues, drawer, dispatch, go, point } = props;
  const saved = useApi('/api/v1/lenses/{slug}/addresses', { slug });
  const label = (key: string) =>
    facetLabel(
      lens.facets.find((facet) => facet.key === key)!,
      source.fields,
      lens,
    );
  const action = (id: string, words: string, run: () => void, also = ''): PaletteItem => ({
    id: `do ${id}`,
    kind: 'Actions',
    label: words,
    also,
    run,
  });
  const tabs: Record<DrawerTab, string> = {
    sieve: 'the sieve',
    why: 'why',
    requests: 'the requests',
    findings: 'the findings',
  };
  const find = async (text: string, signal: AbortSignal): Promise<PaletteItem[]> => {
    const wanted = { of: { find: text }, first: postsShown };
    const { posts } = await dryRuns.see({ name: 'nearest', lens, address, wanted }, signal);
    return posts.slice(0, postsShown).map(({ id, title, facets }) => ({
      id: `post ${id}`,
      kind: 'Posts',
      label: title ?? id,
      also: id,
      note: facets.every(({ passes }) => passes) ? 'is shown' : 'is left out',
      does: 'why',
      run: () => {
        drawer.show('why');
        drawer.onFind(id);
      },
    }));
  };
  usePaletteItems(
    () => [
      ...termItems(dryRun, hues, label, go, point),
      ...lens.facets.map((facet): PaletteItem => ({
        id: `facet ${slug} ${facet.key}`,
        kind: 'Facets',
        label: label(facet.key),
        note: kindOf(facet).noun,
        also: facet.key,
        hue: hues.get(facet.key)!,
        does: 'take it in hand',
        run: () => dispatch({ type: 'focus', key: facet.key }),
        shift: {
          does: facet.visible ? 'hide it' : 'show it',
          run: () => dispatch({ type: 'edit', lens: changeFacet(lens, facet.key, { visible: !facet.visible }) }),
        },
      })),
      ...(saved.data ?? []).map((one): PaletteItem => ({
        id: `address ${one.id}`,
        kind: 'Addresses',
        label: one.name || (one.address === '' ? 'The whole listing' : `?${one.address}`),
        note: one.folder,
        also: one.address,
        run: () => go(one.address),
      })),
      action('undo', 'Undo', props.undo, 'take back'),
      action('redo', 'Redo', props.redo),
      action('publish', 'Publish', props.publish, 'release live'),
      action('clear', 'Clear the address', () => go(''), 'reset'),
      ...(Object.entries(tabs) as [DrawerTab, string][]).map(([tab, words]) =>
        action(tab, `Open ${words}`, () => drawer.show(tab)),
      ),
      action('results', 'Cards, order and pages', () => dispatch({ type: 'focus', key: null }), 'card paging look'),
      ...usableFields(source.fields)
        .filter((field) => !lens.facets.some((facet) => kindOf(facet).fields(facet).includes(field.key)))
        .map((field) =>
          action(`add ${field.key}`, `Add a facet for ${field.label}`, () => {
            const added = addFacet(lens, field);
            dispatch({ type: 'edit', lens: added.lens, focus: added.key });
          }),
        ),
    ],
    find,
  );
}

/** Every term that can be chosen: ticked or unticked by Enter, alone in its facet with Shift. */
function termItems(
  dryRun: DryRun | null,
  hues: Props['hues'],
  label: (key: string) => string,
  go: Props['go'],
  point: Props['point'],
): PaletteItem[] {
  if (!dryRun) return [];
  const { answer, settings } = dryRun;
  const choices = choicesOf(answer, settings);
  return answer.facets.flatMap((facet) => {
    if (!('options' in facet)) return [];
    const { single } = settings.facets.find(({ key }) => key === facet.key)!;
    const chosen = choices.facets[facet.key] ?? [];
    return facet.options.map(({ value, label: name, count }): PaletteItem => {
      const isOn = chosen.includes(value);
      const next = isOn ? chosen.filter((one) => one !== value) : single ? [value] : [...chosen, value];
      const written = (values: readonly string[]) => writeChoices(choose(choices, facet.key, values), settings);
      return {
        id: `term ${facet.key} ${value}`,
        kind: 'Terms',
        label: name,
        note: label(facet.key),
        also: value,
        hue: hues.get(facet.key)!,
        count,
        does: isOn ? 'take it away' : 'choose it',
        run: () => go(written(next)),
        shift: { does: 'only this', run: () => go(written([value])) },
        point: (is) => point(is ? { address: written(next), facet: facet.key } : null),
      };
    });
  });
}

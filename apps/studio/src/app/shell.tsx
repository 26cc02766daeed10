import { useState } from 'react';
import { Outlet, useLocation, useNavigate } from 'react-router';
import { useApi } from '../api/api.js';
import { helpPages } from '../help/help-pages.js';
import { KeysSheet } from '../keys/keys-sheet.js';
import { useKeys } from '../keys/use-keys.js';
import { Palette } from '../palette/palette.js';
import { usePaletteItems, type PaletteItem } from '../palette/palette-items.js';

/** What stands around every place: the palette and the sheet of keys. */
export function Shell() {
  const { pathname } = useLocation();
  const [open, setOpen] = useState<'palette' | 'keys' | null>(null);
  useKeys(['everywhere'], { palette: () => setOpen('palette'), keys: () => setOpen('keys') });
  return (
    <>
      <Outlet />
      <Everywhere onKeys={() => setOpen('keys')} />
      {open === 'palette' && <Palette onClose={() => setOpen((now) => (now === 'palette' ? null : now))} />}
      {open === 'keys' && <KeysSheet path={pathname} onClose={() => setOpen(null)} />}
    </>
  );
}

/** Places, and what can be done everywhere. */
function Everywhere({ onKeys }: { onKeys: () => void }) {
  const navigate = useNavigate();
  const sources = useApi('/api/v1/sources', {});
  const lenses = useApi('/api/v1/lenses', {});
  const place = (to: string, label: string, note = ''): PaletteItem => ({
    id: to,
    kind: 'Places',
    label,
    note,
    run: () => void navigate(to),
  });
  usePaletteItems(() => [
    place('/sources', 'Sources', 'all of them'),
    ...(lenses.data ?? []).flatMap(({ slug, name }) => [
      place(`/lenses/${slug}`, name, 'its Bench'),
      place(`/lenses/${slug}/addresses`, `Addresses of ${name}`),
      place(`/lenses/${slug}/publish`, `Releases of ${name}`),
    ]),
    ...(sources.data ?? []).flatMap(({ slug, name }) => [
      place(`/sources/${slug}`, name, 'its tray'),
      place(`/sources/${slug}/posts`, `Posts of ${name}`),
      place(`/sources/${slug}/runs`, `History of ${name}`),
    ]),
    { ...place('/help', 'Help', 'one page a task'), kind: 'Help' },
    ...helpPages.map(({ id, title, words }): PaletteItem => ({
      ...place(`/help/${id}`, title),
      kind: 'Help',
      also: words,
    })),
    { id: 'keys', kind: 'Actions', label: 'Show the keys', run: onKeys },
  ]);
  return null;
}

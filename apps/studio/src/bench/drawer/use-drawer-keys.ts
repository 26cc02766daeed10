import { useEffect, useEffectEvent } from 'react';
import { drawerTabs, type DrawerTab } from './use-drawer.js';

/** The keys 1 to 4 open the tabs of the drawer, wherever nobody types. */
export function useDrawerKeys(onTab: (tab: DrawerTab) => void): void {
  const press = useEffectEvent((event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
    const target = event.target as HTMLElement;
    if (target.isContentEditable || target.closest('input, textarea, select, [role=dialog]')) return;
    const tab = drawerTabs[Number(event.key) - 1];
    if (tab) onTab(tab);
  });
  useEffect(() => {
    const hear = (event: KeyboardEvent) => press(event);
    document.addEventListener('keydown', hear);
    return () => document.removeEventListener('keydown', hear);
  }, []);
}

import { useKeys } from '../../keys/use-keys.js';
import type { DrawerTab } from './use-drawer.js';

/** The keys 1 to 4 open the tabs of the drawer, wherever nobody types. */
export function useDrawerKeys(onTab: (tab: DrawerTab) => void): void {
  useKeys(['bench'], {
    sieve: () => onTab('sieve'),
    why: () => onTab('why'),
    requests: () => onTab('requests'),
    findings: () => onTab('findings'),
  });
}

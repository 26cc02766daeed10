import { useState } from 'react';

/** What the drawer under the page holds, in the order of the keys that open it. */
export const drawerTabs = ['sieve', 'why', 'requests', 'findings'] as const;
export type DrawerTab = (typeof drawerTabs)[number];

/** How high the drawer may be drawn, in CSS pixels. */
export const [lowest, highest] = [120, 560];

/** Heights until someone draws it to another: what is looked at needs less room than what is read. */
const heights: Record<DrawerTab, number> = { sieve: 152, why: 300, requests: 260, findings: 330 };

interface Kept {
  tab: DrawerTab | null;
  heights: Record<DrawerTab, number>;
}

export interface DrawerState {
  /** Null: it is shut. */
  tab: DrawerTab | null;
  height: number;
  /** Opens a tab, or shuts the drawer where it is the open one. */
  onTab: (tab: DrawerTab) => void;
  /** Opens a tab, whatever is open. */
  show: (tab: DrawerTab) => void;
  onHeight: (height: number) => void;
  /** What is looked for in Why: a part of a title, or an id. */
  find: string;
  onFind: (text: string) => void;
}

/** What of the drawer is open, and how high: each tab as it was left in this tab of the browser. */
export function useDrawer(): DrawerState {
  const [kept, setKept] = useState(read);
  const [find, onFind] = useState('');
  const keep = (next: Kept) => {
    setKept(next);
    try {
      sessionStorage.setItem(name, JSON.stringify(next));
    } catch {
      // without storage it is as it was at first next time
    }
  };
  return {
    ...{ find, onFind },
    tab: kept.tab,
    height: kept.tab === null ? 0 : kept.heights[kept.tab],
    onTab: (tab) => keep({ ...kept, tab: kept.tab === tab ? null : tab }),
    show: (tab) => keep({ ...kept, tab }),
    onHeight: (height) => {
      if (kept.tab === null) return;
      const clamped = Math.round(Math.max(lowest, Math.min(highest, height)));
      keep({ ...kept, heights: { ...kept.heights, [kept.tab]: clamped } });
    },
  };
}

const name = 'ivy.drawer';

function read(): Kept {
  try {
    const kept = JSON.parse(sessionStorage.getItem(name) ?? '{}') as Partial<Kept>;
    const tab = kept.tab === undefined || (kept.tab !== null && !drawerTabs.includes(kept.tab)) ? 'sieve' : kept.tab;
    return { tab, heights: { ...heights, ...kept.heights } };
  } catch {
    return { tab: 'sieve', heights };
  }
}

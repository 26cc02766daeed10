import type { FacetAnswer } from '../kinds/kinds.js';
import type { Item, Way } from '../model/answer.js';
import type { Notice } from '../model/notice.js';

/** The whole answer to a query: everything a page needs to draw itself. Exact. */
export interface Answer {
  /** Canonical, the lens's own parameters only; '' when nothing is chosen. */
  address: string;
  total: number;
  matched: number;
  page: number;
  /** The first of the pages whose posts are here, where those of several are. */
  from?: number;
  pages: number;
  pageSize: number;
  sort: string | null;
  items: Item[];
  facets: FacetAnswer[];
  notices: Notice[];
  ways: Way[];
  /** Posts to show where nothing matches; absent where there are none. */
  others?: Item[];
}

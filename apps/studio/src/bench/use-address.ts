import { useCallback, useEffect, useRef } from 'react';
import { useLocation, useNavigate } from 'react-router';

/**
 * Goes to an address.
 * @param from  where one must still be going for it, or nothing happens: what the live page makes of an address comes
 *   later, and by then a person may have gone on
 * @returns whether it went
 */
export type Go = (next: string, how?: 'push' | 'replace', from?: string) => boolean;

/** The page's own query string is the address that is looked at, so that it can be sent to others and gone back in. */
export function useAddress(): { address: string; go: Go } {
  const navigate = useNavigate();
  const { search } = useLocation();
  const address = search.replace(/^\?/, '');
  // the page is drawn with an address a moment after one has gone there
  const heading = useRef(address);
  useEffect(() => {
    heading.current = address;
  }, [address]);
  const go = useCallback<Go>(
    (next, how = 'push', from) => {
      if (from !== undefined && from !== heading.current) return false;
      heading.current = next;
      void navigate({ search: next === '' ? '' : `?${next}` }, { replace: how === 'replace' });
      return true;
    },
    [navigate],
  );
  return { address, go };
}

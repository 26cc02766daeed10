import { useCallback } from 'react';
import { useLocation, useNavigate } from 'react-router';

/** The page's own query string is the address that is looked at, so that it can be sent to others and gone back in. */
export function useAddress(): { address: string; go: (next: string, how?: 'push' | 'replace') => void } {
  const navigate = useNavigate();
  const { search } = useLocation();
  const go = useCallback(
    (next: string, how: 'push' | 'replace' = 'push') =>
      void navigate({ search: next === '' ? '' : `?${next}` }, { replace: how === 'replace' }),
    [navigate],
  );
  return { address: search.replace(/^\?/, ''), go };
}

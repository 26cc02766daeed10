import { useSyncExternalStore } from 'react';

/** Whether a media query holds, and again whenever that changes. */
export function useMedia(query: string): boolean {
  return useSyncExternalStore(
    (hear) => {
      const media = matchMedia(query);
      media.addEventListener('change', hear);
      return () => media.removeEventListener('change', hear);
    },
    () => matchMedia(query).matches,
  );
}

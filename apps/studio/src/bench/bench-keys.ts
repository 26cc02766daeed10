import { useEffect, useEffectEvent, type RefObject } from 'react';

/** A press in a facet of the live page takes that facet in hand. */
export function useFacetClicks(
  frame: RefObject<HTMLIFrameElement | null>,
  ready: boolean,
  onFacet: (key: string) => void,
): void {
  const press = useEffectEvent((target: Element) => {
    const key = target.closest('[data-facet]')?.getAttribute('data-facet');
    if (key) onFacet(key);
  });
  useEffect(() => {
    const page = frame.current?.contentDocument;
    const hear = (event: Event) => press(event.target as Element);
    page?.addEventListener('click', hear);
    return () => page?.removeEventListener('click', hear);
  }, [frame, ready]);
}

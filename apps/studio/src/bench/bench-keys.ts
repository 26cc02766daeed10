import { useEffect, useEffectEvent, type RefObject } from 'react';

/** Ctrl+Z and Ctrl+Shift+Z take back and do again, wherever one is on the Bench. */
export function useUndoKeys(undo: () => void, redo: () => void): void {
  const press = useEffectEvent((event: KeyboardEvent) => {
    if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
    // in a text box the browser's own undo goes first
    if (event.target instanceof HTMLInputElement && event.target.type !== 'checkbox') return;
    event.preventDefault();
    if (event.shiftKey) redo();
    else undo();
  });
  useEffect(() => {
    const hear = (event: KeyboardEvent) => press(event);
    addEventListener('keydown', hear);
    return () => removeEventListener('keydown', hear);
  }, []);
}

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

import { useEffect, useEffectEvent } from 'react';

/** Ctrl+Z and Ctrl+Shift+Z take back and do again, wherever one is in a room that has steps. */
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

import { useEffect, useEffectEvent } from 'react';
import { keyNamed, type KeyName, type KeyPlace } from './key-table.js';

/**
 * Hears keys of the table, wherever nobody types. Those with Ctrl are heard in boxes too, but for steps back, which are a
 * text box's own there.
 */
export function useKeys(places: readonly KeyPlace[], handlers: Partial<Record<KeyName, () => void>>): void {
  const press = useEffectEvent((event: KeyboardEvent) => {
    if (event.defaultPrevented) return;
    const name = keyNamed(event, places);
    const handle = name && handlers[name];
    if (!handle || (isTyping(event) && name !== 'palette')) return;
    event.preventDefault();
    handle();
  });
  useEffect(() => {
    const hear = (event: KeyboardEvent) => press(event);
    document.addEventListener('keydown', hear);
    return () => document.removeEventListener('keydown', hear);
  }, []);
}

/** Whether a press goes into a box, or to a sheet that stands above all else. */
function isTyping({ target }: KeyboardEvent): boolean {
  if (!(target instanceof Element)) return false;
  if (target.closest('dialog, [role=dialog]') || (target as HTMLElement).isContentEditable) return true;
  return target.closest('input:not([type=checkbox], [type=radio]), textarea, select') !== null;
}

import { useKeys } from '../keys/use-keys.js';

/** Ctrl+Z and Ctrl+Shift+Z take back and do again, wherever one is in a room that has steps. */
export function useUndoKeys(undo: () => void, redo: () => void): void {
  useKeys(['steps'], { undo, redo });
}

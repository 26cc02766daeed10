import { useRef, type KeyboardEvent, type PointerEvent } from 'react';

interface Pull {
  /** Along which way of the screen it is pulled. */
  axis: 'x' | 'y';
  value: number;
  /** How far a key moves it, by its name. */
  keys: Readonly<Record<string, number>>;
  /** How much the value grows a pixel; below zero where it shrinks. */
  factor: number;
  onValue: (value: number) => void;
  onPulling?: (isPulled: boolean) => void;
}

/** What an edge is given that is pulled by the pointer, and moved by keys. */
export function usePull({ axis, value, keys, factor, onValue, onPulling }: Pull) {
  const from = useRef<{ at: number; value: number } | null>(null);
  const placeOf = (event: PointerEvent) => (axis === 'x' ? event.clientX : event.clientY);
  const end = () => {
    from.current = null;
    onPulling?.(false);
  };
  return {
    onPointerDown: (event: PointerEvent) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      from.current = { at: placeOf(event), value };
      onPulling?.(true);
    },
    onPointerMove: (event: PointerEvent) => {
      if (from.current) onValue(from.current.value + (placeOf(event) - from.current.at) * factor);
    },
    onPointerUp: end,
    onPointerCancel: end,
    onKeyDown: (event: KeyboardEvent) => {
      const by = keys[event.key];
      if (by === undefined) return;
      event.preventDefault();
      onValue(value + by);
    },
  };
}

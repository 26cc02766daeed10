import { useEffect, useEffectEvent, type RefObject } from 'react';

/** A sheet in the live page that shows which part of the cards is in hand, and that parts can be taken. */
const sheetId = 'ivy-card-in-hand';

/**
 * A press on a part of a card on the live page takes that part in hand. With Ctrl held the page does what it does for
 * visitors.
 * @param part  the place of the part in hand, which is outlined on every card
 */
export function useCardClicks(
  frame: RefObject<HTMLIFrameElement | null>,
  ready: boolean,
  part: number | null,
  onPart: (at: number) => void,
): void {
  const press = useEffectEvent((event: MouseEvent) => {
    if (event.ctrlKey || event.metaKey) return;
    const pressed = event.target as Element;
    const card = pressed.closest('.ivy-card');
    // a ribbon and terms to choose are for visitors, and are tried as such
    if (!card || pressed.closest('.ivy-ribbon, .ivy-terms a')) return;
    event.preventDefault();
    // the link of a card may lie over all of it: what counts is in whose place the pointer is
    const row = [...card.querySelectorAll('[data-at]')].find((one) => holds(one.getBoundingClientRect(), event));
    const places = (row?.getAttribute('data-at') ?? '')
      .split(',')
      .filter((at) => at !== '')
      .map(Number);
    if (places.length === 0) return;
    // parts that share a row are taken one after the other
    const next = part === null ? 0 : (places.indexOf(part) + 1) % places.length;
    onPart(places[next]!);
  });
  useEffect(() => {
    const page = frame.current?.contentDocument;
    const hear = (event: MouseEvent) => press(event);
    page?.addEventListener('click', hear, { capture: true });
    return () => page?.removeEventListener('click', hear, { capture: true });
  }, [frame, ready]);
  useEffect(() => {
    const page = frame.current?.contentDocument;
    if (!page) return;
    let sheet = page.getElementById(sheetId);
    if (!sheet) {
      sheet = page.createElement('style');
      sheet.id = sheetId;
      page.head.append(sheet);
    }
    const at = part === null ? [] : [`[data-at="${part}"]`, `[data-at^="${part},"]`, `[data-at$=",${part}"]`];
    const chosen = [...at, ...(part === null ? [] : [`[data-at*=",${part},"]`])].map((one) => `.ivy-card ${one}`);
    const outline = chosen.length === 0 ? '' : `${chosen.join()} { outline: 2px solid #1f6f54; outline-offset: 3px }`;
    sheet.textContent = `.ivy-card { cursor: pointer } ${outline}`;
  }, [frame, ready, part]);
}

function holds({ left, right, top, bottom }: DOMRect, { clientX, clientY }: MouseEvent): boolean {
  return clientX >= left && clientX <= right && clientY >= top && clientY <= bottom;
}

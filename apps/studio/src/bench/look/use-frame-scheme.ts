import type { Look } from '@ivy/core';
import { pageSheet } from '@ivy/view';
import { useEffect, type RefObject } from 'react';

const sheetId = 'ivy-page-around';

/** Has the live page look around the listing as a page would that has it: light or dark, on the listing's own ground. */
export function useFrameScheme(frame: RefObject<HTMLIFrameElement | null>, ready: boolean, look: Look): void {
  const rules = pageSheet(look);
  useEffect(() => {
    const page = frame.current?.contentDocument;
    if (!ready || !page) return;
    let sheet = page.getElementById(sheetId);
    if (!sheet) {
      sheet = page.createElement('style');
      sheet.id = sheetId;
      page.head.append(sheet);
    }
    sheet.textContent = rules;
  }, [frame, ready, rules]);
}

import type { html as Html, TemplateResult } from 'lit-html';
import type { Texts } from '@ivy/core';

/**
 * The facets over a narrow page. A modal dialog of the browser's own keeps the focus in and the page behind still.
 * @param words  of the button that shows the posts
 */
export function drawSheet(
  html: typeof Html,
  texts: Texts,
  facets: TemplateResult,
  words: string,
  close: () => void,
  show: () => void,
): TemplateResult {
  return html`<dialog class="ivy-sheet" aria-label=${texts.filters} @cancel=${close}>
    <div class="ivy-sheet-head">
      <strong>${texts.filters}</strong>
      <button type="button" class="ivy-sheet-close" aria-label=${texts.close} @click=${close}>
        <span aria-hidden="true" class="ivy-cross"></span>
      </button>
    </div>
    <div class="ivy-sheet-body">${facets}</div>
    <div class="ivy-sheet-foot">
      <button type="button" class="ivy-show" @click=${show}>${words}</button>
    </div>
  </dialog>`;
}

/*
 * What the first paint does not need. It comes as a script of its own, whole in itself: `html` is handed in, so that the
 * page script's drawing library does not come a second time.
 */
export { drawCombobox } from './combobox.js';
export { drawEmpty } from './empty.js';
export { keepShape } from './keep-shape.js';
export { drawMore } from './more.js';
export { move } from './move.js';
export { watchNearness } from './near.js';
export { sayTitle } from './say-title.js';
export { drawSheet } from './sheet.js';
export { drawTable } from './table.js';
export { drawThumbs } from './thumbs.js';
export { sheet } from './later-sheet.js';

/** What reads a page of its own: for the studio, which shows what the page script will find by the same code. */
export { answerItems, type ItemsAnswer } from './answer-items.js';
export { controlsOf, type Controls } from './controls.js';
export { itemsIn, readItems, type Items } from './items.js';
export { applyMarks } from './mapping.js';
export { Notes } from './notes.js';
export { drawFacets } from './own-facets.js';
export { neighbour as nextPage } from './pages.js';
export { setUp, type Facet, type Setup } from './setup.js';

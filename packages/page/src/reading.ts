/** What reads a page of its own: for the studio, which shows what the page script will find by the same code. */
export { answerItems, type ItemsAnswer } from './read/answer-items.js';
export { controlsOf, type Controls } from './read/controls.js';
export { itemsIn, readItems, type Items } from './read/items.js';
export { applyMarks } from './read/mapping.js';
export { Notes } from './notes.js';
export { drawFacets } from './draw/own-facets.js';
export { neighbour as nextPage } from './read/pages.js';
export { setUp, type Facet, type Setup } from './read/setup.js';

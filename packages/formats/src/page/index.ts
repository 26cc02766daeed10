// What is read off pages that a listing stands on. It has a door of its own: it needs a whole page model and colours, which
// take most of a second to load, and reading posts needs neither.
export * from './mark-counts.js';
export * from './page-facts.js';
export * from './page-sheets.js';
export * from './sheet-look.js';

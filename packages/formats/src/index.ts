export * from './address-list.js';
export * from './file-problem.js';
export * from './limits.js';
export * from './page/mark-counts.js';
export * from './page/sheet-look.js';
export * from './page/page-facts.js';
export * from './page/page-sheets.js';
export * from './read-file.js';
export { feedVersion, recordKey } from './json.js';

export * from './file-problem.js';
export * from './limits.js';
export * from './read-file.js';

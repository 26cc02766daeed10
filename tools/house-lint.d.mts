import type { ESLint } from 'eslint';

declare const house: ESLint.Plugin;
export default house;

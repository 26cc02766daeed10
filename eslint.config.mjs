import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';
import house from './tools/house-lint.mjs';

/** What each part may not import: arrows point one way, and core imports nothing of ours. */
const forbidden = (patterns, message) => ({
  'no-restricted-imports': ['error', { patterns: [{ group: patterns, message }] }],
});

/** The rooms of core, the lowest first: each may import those before it. */
const coreRooms = [
  'text',
  'dates',
  'shape',
  'model',
  'engine/base',
  'engine/kernel',
  'engine/store',
  'engine/sets',
  'engine/columns',
  'engine/words',
  'engine/index',
  'engine/change',
  'engine/snapshot',
  'fields',
  'kinds',
  'paging',
  'card',
  'look',
  'lens',
  'address',
  'answer',
  'why',
  'crawling',
  'dry-run',
];

export default ts.config(
  { ignores: ['**/dist/**', '.data/**', 'coverage/**', 'apps/studio/public/theme.js', 'demo/site/**'] },
  js.configs.recommended,
  {
    files: ['**/*.ts', '**/*.tsx'],
    extends: [ts.configs.recommendedTypeChecked],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    plugins: { house },
    rules: {
      'house/types': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { varsIgnorePattern: '^_', argsIgnorePattern: '^_' }],
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true, allowBoolean: true }],
      '@typescript-eslint/switch-exhaustiveness-check': 'error',
    },
  },
  {
    files: ['**/*.mjs'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        setTimeout: 'readonly',
        clearTimeout: 'readonly',
        setInterval: 'readonly',
        clearInterval: 'readonly',
        AbortSignal: 'readonly',
        URL: 'readonly',
        fetch: 'readonly',
        Blob: 'readonly',
        FormData: 'readonly',
        Buffer: 'readonly',
        performance: 'readonly',
      },
    },
  },
  {
    // tests of the API look into bodies of every shape, as any client would
    files: ['apps/server/src/**/*.test.ts', 'apps/server/test/**'],
    rules: Object.fromEntries(
      [
        'no-unsafe-assignment',
        'no-unsafe-member-access',
        'no-unsafe-call',
        'no-unsafe-argument',
        'no-unsafe-return',
        'no-explicit-any',
      ].map((name) => [`@typescript-eslint/${name}`, 'off']),
    ),
  },
  {
    files: ['packages/*/src/**', 'apps/*/src/**'],
    ignores: ['**/*.test.ts', '**/*.test.tsx'],
    rules: { 'house/no-circles': 'error' },
  },
  {
    files: ['packages/core/src/**'],
    ignores: ['**/*.test.ts', 'packages/core/src/index.ts'],
    rules: { 'house/layers': ['error', { root: 'packages/core/src', rooms: coreRooms }] },
  },
  {
    files: ['packages/core/src/**'],
    rules: forbidden(
      ['@ivy/*', 'node:*', '**/formats/**', '**/runtime/**', '**/apps/**'],
      'Core stands alone: no other part, no Node API.',
    ),
  },
  {
    files: ['packages/core/src/**/*.test.ts'],
    rules: forbidden(['@ivy/*', '**/formats/**', '**/runtime/**', '**/apps/**'], 'Core stands alone.'),
  },
  {
    files: ['packages/formats/src/**'],
    rules: forbidden(['@ivy/runtime', '@ivy/server', '@ivy/studio', '**/apps/**'], 'Formats know core alone.'),
  },
  {
    files: ['packages/view/src/**'],
    rules: forbidden(
      ['@ivy/formats', '@ivy/runtime', '@ivy/server', '@ivy/studio', 'node:*', '**/apps/**'],
      'What is shown is worked out from core alone.',
    ),
  },
  {
    files: ['packages/runtime/src/**'],
    rules: forbidden(
      ['@ivy/formats', '@ivy/server', '@ivy/studio', 'node:*', '**/apps/**'],
      'The runtime knows core, the view, and of a page’s own list the panel that tells what stands.',
    ),
  },
  {
    files: ['packages/page/src/**'],
    rules: forbidden(
      ['@ivy/formats', '@ivy/runtime', '@ivy/server', '@ivy/studio', '@ivy/view', 'node:*', '**/apps/**'],
      'A page’s own list knows core alone.',
    ),
  },
  {
    files: ['apps/server/src/**'],
    rules: forbidden(
      ['@ivy/runtime', '@ivy/studio', '**/apps/studio/**'],
      'The server knows core, formats and the view.',
    ),
  },
  {
    files: ['apps/studio/src/**'],
    rules: forbidden(
      ['@ivy/formats', '@ivy/server', 'node:*', '**/apps/server/**'],
      'The studio knows core, the view and the runtime.',
    ),
  },
  {
    files: ['apps/studio/src/**/*.tsx', 'apps/studio/src/**/use-*.ts'],
    plugins: { 'react-hooks': hooks },
    rules: Object.fromEntries(Object.keys(hooks.configs['recommended-latest'].rules).map((name) => [name, 'error'])),
  },
);

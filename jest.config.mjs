import { existsSync, readdirSync, readFileSync } from 'node:fs';

/** Packages written as ES modules: Jest runs CommonJS, so these are transformed, and these alone. */
function modulePackages(folder = new URL('node_modules/', import.meta.url), scope = '') {
  return readdirSync(folder).flatMap((name) => {
    const inside = new URL(`${name}/`, folder);
    if (name.startsWith('@')) return modulePackages(inside, `${name}/`);
    const about = new URL('package.json', inside);
    if (!existsSync(about)) return [];
    const more = existsSync(new URL('node_modules', inside)) ? modulePackages(new URL('node_modules/', inside)) : [];
    return JSON.parse(readFileSync(about, 'utf8')).type === 'module' ? [scope + name, ...more] : more;
  });
}
const asModules = [...new Set(modulePackages())].map((name) => name.replaceAll('.', '\\.'));

const swc = [
  '@swc/jest',
  {
    jsc: {
      parser: { syntax: 'typescript', tsx: true, decorators: true },
      transform: {
        legacyDecorator: true,
        decoratorMetadata: true,
        useDefineForClassFields: false,
        react: { runtime: 'automatic' },
      },
      target: 'es2022',
      keepClassNames: true,
    },
    module: { type: 'commonjs' },
  },
];

const project = (name, folder, environment) => ({
  displayName: name,
  rootDir: folder,
  testEnvironment: environment,
  setupFiles: environment === 'jsdom' ? ['<rootDir>/../../tools/browser-globals.cjs'] : [],
  testEnvironmentOptions: { globalsCleanup: 'off', customExportConditions: ['source', 'require', 'node', 'default'] },
  testMatch: ['**/*.test.ts', '**/*.test.tsx'],
  testPathIgnorePatterns: ['/node_modules/', '/dist/'],
  modulePathIgnorePatterns: ['/dist/'],
  transform: { '\\.(ts|tsx|js|mjs)$': swc },
  transformIgnorePatterns: [`/node_modules/(?!(?:.*/)?(?:${asModules.join('|')})/)(?!.*\\.mjs$)`],
  moduleNameMapper: { '^(\\.{1,2}/.*)\\.js$': ['$1', '$1.js'] },
});

export default {
  testTimeout: 60_000,
  projects: [
    project('core', '<rootDir>/packages/core', 'node'),
    project('formats', '<rootDir>/packages/formats', 'node'),
    project('view', '<rootDir>/packages/view', 'node'),
    project('client', '<rootDir>/packages/client', 'node'),
    project('page', '<rootDir>/packages/page', 'jsdom'),
    project('runtime', '<rootDir>/packages/runtime', 'jsdom'),
    project('alone', '<rootDir>/packages/alone', 'jsdom'),
    project('studio', '<rootDir>/apps/studio', 'jsdom'),
    project('tools', '<rootDir>/tools', 'node'),
    project('server', '<rootDir>/apps/server', 'node'),
    { ...project('browser', '<rootDir>/e2e', 'node') },
  ],
};

import { transform } from 'lightningcss';
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { minify } from 'terser';
import { build, defineConfig, type Plugin, type Rolldown, type UserConfig } from 'vite';

const styles = new URL('src/styles/', import.meta.url);

/** The rules of all sheets, in the order of the files' names, as short as they can be written. */
function sheet(): string {
  const files = readdirSync(styles).sort();
  const rules = files.map((file) => readFileSync(new URL(file, styles), 'utf8')).join('');
  return transform({ filename: 'ivy-lens.css', code: Buffer.from(rules), minify: true }).code.toString();
}

/** Puts the sheet into the script, and writes it as a file for pages that are drawn before the script is there. */
function sheets(): Plugin {
  const file = fileURLToPath(new URL('src/sheet.ts', import.meta.url));
  return {
    name: 'sheets',
    load: (id) => (id === file ? `export const sheet = ${JSON.stringify(sheet())};` : null),
    generateBundle() {
      this.emitFile({ type: 'asset', fileName: 'ivy-lens.css', source: sheet() });
    },
  };
}

/** Writes the script as short as it can be: where templates break a line a blank does the same. */
function shorten(): Plugin {
  return {
    name: 'shorten',
    async generateBundle(_options, bundle) {
      for (const file of Object.values(bundle)) {
        if (file.type !== 'chunk') continue;
        // what is minified has line breaks in templates alone
        const code = file.code.replace(/\s*\n\s*/g, ' ');
        file.code = (await minify(code, { module: true, ecma: 2020, compress: { passes: 3 } })).code!;
      }
    },
  };
}

/**
 * What is imported when it is needed becomes a script of its own, whole in itself: it must not import the page script
 * again, which a page may have under any address. Its name tells its contents, so that it can be kept for good.
 */
function later(): Plugin {
  return {
    name: 'later',
    async resolveDynamicImport(specifier, importer) {
      if (typeof specifier !== 'string') return null;
      const entry = await this.resolve(specifier, importer);
      if (!entry) return null;
      const [made] = (await build({ configFile: false, ...config(entry.id, []) })) as Rolldown.RolldownOutput[];
      const { code } = made!.output[0];
      const hash = createHash('sha256').update(code).digest('hex').slice(0, 10);
      const fileName = `ivy-${/([\w-]+)\.ts$/.exec(entry.id)![1]}-${hash}.js`;
      this.emitFile({ type: 'asset', fileName, source: code });
      return { id: `./${fileName}`, external: true };
    },
  };
}

function config(entry: string, plugins: Plugin[], write = false): UserConfig {
  return {
    logLevel: 'warn',
    resolve: { conditions: ['source'] },
    plugins: [...plugins, shorten()],
    build: {
      write,
      target: 'es2022',
      lib: { entry, formats: ['es'], fileName: () => 'ivy-lens.js' },
      rolldownOptions: { output: { minify: true } },
    },
  };
}

export default defineConfig(config('src/index.ts', [sheets(), later()], true));

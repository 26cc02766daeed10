import { transform } from 'lightningcss';
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { minify } from 'terser';
import { build, defineConfig, type Plugin, type Rolldown, type UserConfig } from 'vite';

/** Rules that the first paint needs, and those of what comes after it. */
const styles = new URL('src/styles/', import.meta.url);
const laterStyles = new URL('src/later/styles/', import.meta.url);

/** The rules of all sheets of some folders, in the order of the files' names, as short as they can be written. */
function sheet(...folders: URL[]): string {
  const files = folders.flatMap((folder) =>
    readdirSync(folder)
      .sort()
      .map((file) => new URL(file, folder)),
  );
  const rules = files.map((file) => readFileSync(file, 'utf8')).join('');
  return transform({ filename: 'ivy-lens.css', code: Buffer.from(rules), minify: true }).code.toString();
}

/** Puts rules into the scripts, and writes all of them as a file for pages that are drawn before the script is there. */
export function sheets(): Plugin {
  const own = fileURLToPath(new URL('src/sheet.ts', import.meta.url));
  const later = fileURLToPath(new URL('src/later/later-sheet.ts', import.meta.url));
  const written: Record<string, () => string> = { [own]: () => sheet(styles), [later]: () => sheet(laterStyles) };
  return {
    name: 'sheets',
    load: (id) => (written[id] ? `export const sheet = ${JSON.stringify(written[id]())};` : null),
  };
}

/** The file of all rules, for pages that are drawn before the script is there. */
function sheetFile(): Plugin {
  return {
    name: 'sheet-file',
    generateBundle() {
      this.emitFile({ type: 'asset', fileName: 'ivy-lens.css', source: sheet(styles, laterStyles) });
    },
  };
}

/** Writes the script as short as it can be: where templates break a line a blank does the same. */
export function shorten(): Plugin {
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
      const [made] = (await build({ configFile: false, ...config(entry.id, [sheets()]) })) as Rolldown.RolldownOutput[];
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

export default defineConfig(config('src/index.ts', [sheets(), sheetFile(), later()], true));

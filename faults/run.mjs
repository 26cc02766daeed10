// npm run faults: treats a server badly and says what came of it. `npm run faults outages files` does these alone;
// IVY_FAULTS_ROOT names another checkout whose build is treated so.
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startPostgres } from '../tools/postgres.mjs';
import { measureAddresses } from './addresses.mjs';
import { files } from './files.mjs';
import { breakable, outages } from './outages.mjs';
import { starts } from './starts.mjs';
import { uploads } from './uploads.mjs';
import { waits } from './waits.mjs';

const say = (words) => console.log(words);
const parts = {
  addresses: () => measureAddresses(200_000, say),
  waits: (postgres) => waits(postgres, say),
  outages: (postgres) => outages(postgres, say),
  files: (postgres) => files(postgres, say),
  uploads: (postgres) => uploads(postgres, say),
  starts: () => starts(say),
};
const asked = process.argv.slice(2);
const unknown = asked.find((name) => !(name in parts));
if (unknown) {
  console.error(`There is no part “${unknown}”. There are: ${Object.keys(parts).join(', ')}.`);
  process.exit(1);
}

delete process.env.DATABASE_URL;
const folder = mkdtempSync(join(tmpdir(), 'ivy-faults-'));
process.env.IVY_DATA = folder;
const postgres = await startPostgres(() => {});
try {
  const where = readFileSync(join(folder, 'postgres-folder'), 'utf8').trim();
  for (const [name, run] of Object.entries(parts)) {
    if (asked.length > 0 && !asked.includes(name)) continue;
    say(`\n${name}`);
    await run(breakable(postgres, where));
  }
} finally {
  await postgres.stop();
  rmSync(folder, { recursive: true, force: true });
}

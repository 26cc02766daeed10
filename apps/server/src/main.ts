import 'reflect-metadata';
import { createApp } from './app.js';
import { loadDemo, siteOfDemo } from './studio/demo/load-demo.js';
import { isLoopback, readDoors, type Doors } from './doors/doors.js';

const { PORT = '4800', HOST = '127.0.0.1', DATABASE_URL, IVY_DEMO } = process.env;

// whoever started this program is gone: nothing of it is to live on
process.on('disconnect', () => {
  process.kill(process.pid, 'SIGTERM');
  setTimeout(() => process.exit(1), 5_000).unref();
});

const openWarning =
  'Warning: IVY_OPEN=1 lets everybody who can reach this server read, change and publish all there is. There are no accounts yet.';
const shutWarning =
  'The studio and its API are shut, since others can reach this server and there are no accounts yet. Released lenses are served. IVY_OPEN=1 opens everything to everybody.';

const doors = doorsOrEnd();
const databaseUrl = DATABASE_URL ?? (await databaseFromStart());
if (!databaseUrl) {
  console.error('DATABASE_URL is not set. Start with npm start, which brings PostgreSQL along.');
  process.exit(1);
}

try {
  const app = await createApp({ databaseUrl, doors });
  if (!isLoopback(doors.host)) console.warn(doors.isOpen ? openWarning : shutWarning);
  if (IVY_DEMO !== '0') await loadDemo(app, siteOfDemo());
  await app.listen(Number(PORT), HOST);
  process.send?.('ready');
} catch (error) {
  const busy = (error as { code?: string }).code === 'EADDRINUSE';
  console.error(busy ? `Port ${PORT} is in use. Stop what uses it, or set PORT to another.` : error);
  process.exit(1);
}

function doorsOrEnd(): Doors {
  try {
    return readDoors(process.env);
  } catch (error) {
    console.error((error as Error).message);
    return process.exit(1);
  }
}

/** `npm start` loads this program while PostgreSQL comes up, and says where it is when it is there. */
function databaseFromStart(): Promise<string | undefined> {
  if (!process.send) return Promise.resolve(undefined);
  return new Promise((found) =>
    process.once('message', (message) => found((message as { databaseUrl?: string }).databaseUrl)),
  );
}

import 'reflect-metadata';
import { createApp } from './app.js';
import { loadDemo } from './demo/load-demo.js';

const { PORT = '4800', HOST = '127.0.0.1', DATABASE_URL, IVY_DEMO, IVY_DEMO_SITE } = process.env;

const databaseUrl = DATABASE_URL ?? (await databaseFromStart());
if (!databaseUrl) {
  console.error('DATABASE_URL is not set. Start with npm start, which brings PostgreSQL along.');
  process.exit(1);
}

try {
  const app = await createApp({ databaseUrl });
  if (IVY_DEMO !== '0') await loadDemo(app, IVY_DEMO_SITE ?? `http://${HOST}:${Number(PORT) + 1}`);
  await app.listen(Number(PORT), HOST);
  process.send?.('ready');
} catch (error) {
  const busy = (error as { code?: string }).code === 'EADDRINUSE';
  console.error(busy ? `Port ${PORT} is in use. Stop what uses it, or set PORT to another.` : error);
  process.exit(1);
}

/** `npm start` loads this program while PostgreSQL comes up, and says where it is when it is there. */
function databaseFromStart(): Promise<string | undefined> {
  if (!process.send) return Promise.resolve(undefined);
  return new Promise((found) =>
    process.once('message', (message) => found((message as { databaseUrl?: string }).databaseUrl)),
  );
}

import 'reflect-metadata';
import { createApp } from './app.js';
import { loadDemo } from './demo/load-demo.js';

const { PORT = '4800', HOST = '127.0.0.1', DATABASE_URL, IVY_DEMO, IVY_DEMO_SITE } = process.env;

if (!DATABASE_URL) {
  console.error('DATABASE_URL is not set. Start with npm start, which brings PostgreSQL along.');
  process.exit(1);
}

try {
  const app = await createApp({ databaseUrl: DATABASE_URL });
  if (IVY_DEMO !== '0') await loadDemo(app, IVY_DEMO_SITE ?? `http://${HOST}:${Number(PORT) + 1}`);
  await app.listen(Number(PORT), HOST);
  process.send?.('ready');
} catch (error) {
  const busy = (error as { code?: string }).code === 'EADDRINUSE';
  console.error(busy ? `Port ${PORT} is in use. Stop what uses it, or set PORT to another.` : error);
  process.exit(1);
}

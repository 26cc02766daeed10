import { existsSync, readFileSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { addressOf, answerTo, asked, form, markups, notices } from '../packages/page/test/markups.js';
import { Browser } from './browser.js';

/*
 * The script as it is shipped, without what of the engine a page has no use for, on pages of every make: a copy of it on the
 * site's own server, under a policy that lets in nothing else.
 */

const dist = join(__dirname, '..', 'packages', 'page', 'dist');
const names = Object.keys(markups);
const policy = "default-src 'none'; script-src 'self'; img-src data:";
const pageOf = (name: string, match: 'any' | 'all') =>
  `<!doctype html><title>${name}</title><script type="module" src="/ivy-page.js"></script>${form(match)}${markups[name]!(notices)}`;

let site: Server;
let origin: string;
let browser: Browser;
beforeAll(async () => {
  site = createServer((request, response) => {
    const { pathname, searchParams } = new URL(request.url!, 'http://x');
    const file = join(dist, pathname);
    if (/^\/[\w-]+\.js$/.test(pathname) && existsSync(file))
      return response.setHeader('content-type', 'text/javascript').end(readFileSync(file));
    const html = pageOf(names[Number(pathname.slice(1))] ?? names[0]!, searchParams.has('all') ? 'all' : 'any');
    return response.setHeader('content-security-policy', policy).setHeader('content-type', 'text/html').end(html);
  });
  await new Promise<void>((done) => site.listen(0, '127.0.0.1', done));
  origin = `http://127.0.0.1:${(site.address() as AddressInfo).port}`;
  browser = await Browser.open();
});
afterAll(async () => {
  await browser?.close();
  site?.close();
});

test.each(names)('%s', async (name) => {
  for (const match of ['any', 'all'] as const) {
    await browser.go(`${origin}/${names.indexOf(name)}${match === 'all' ? '?all' : ''}`);
    await browser.find('[data-ivy-state=ready]');
    const shown = await browser.run<string[][]>(
      `const list = document.querySelector('[data-ivy-list]');
      return arguments[0].map((address) => {
        list.ivy.query = address;
        return [...list.querySelectorAll('[data-ivy-field=title]')].filter((one) => one.closest('[hidden]') === null).map((one) => one.textContent.trim());
      });`,
      asked.map(addressOf),
    );
    const wrong = asked.flatMap((question, i) => {
      const [found, expected] = [shown[i]!.sort(), answerTo(question, match).sort()];
      return JSON.stringify(found) === JSON.stringify(expected) ? [] : [[addressOf(question), found, expected]];
    });
    expect(wrong).toEqual([]);
  }
  expect(await browser.errors()).toEqual([]);
});

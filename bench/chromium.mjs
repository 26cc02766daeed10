// A real Chromium to measure in.
import { createRequire } from 'node:module';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const require = createRequire(new URL('../e2e/package.json', import.meta.url));
const { Builder, By, until } = require('selenium-webdriver');
const chrome = require('selenium-webdriver/chrome.js');
export { By, until };

/** Runs some work with a browser of its own, and closes it whatever happens. */
export async function withChromium(work) {
  const profile = mkdtempSync(join(tmpdir(), 'ivy-bench-'));
  const options = new chrome.Options();
  options.setChromeBinaryPath(process.env.CHROMIUM ?? '/usr/bin/chromium');
  options.addArguments(
    '--headless',
    '--no-sandbox',
    '--disable-gpu',
    '--no-first-run',
    '--disable-background-networking',
    `--user-data-dir=${profile}`,
  );
  const driver = await new Builder()
    .forBrowser('chrome')
    .setChromeOptions(options)
    .setChromeService(new chrome.ServiceBuilder(process.env.CHROMEDRIVER ?? '/usr/bin/chromedriver'))
    .build();
  try {
    await driver.manage().setTimeouts({ script: 300_000 });
    return await work(driver);
  } finally {
    await driver.quit();
    rmSync(profile, { recursive: true, force: true });
  }
}

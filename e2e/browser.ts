import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Builder, By, logging, until, type WebDriver, type WebElement } from 'selenium-webdriver';
import { Options, ServiceBuilder, type Driver } from 'selenium-webdriver/chrome.js';

const patience = 10_000;

/** A real Chromium with what tests do in it, in a person's words. */
/** Milliseconds between two looks at whether something has come. */
const pause = 50;

/** Those elements of a selector that bear some words where an accessible name may be taken from. */
const bearing = `
  const squeezed = (text) => text.replace(/\\s+/g, '');
  const wordsOf = (element) => [
    element.textContent,
    ...['aria-label', 'title', 'alt', 'placeholder', 'value'].map((name) => element.getAttribute(name)),
    ...[...(element.labels ?? [])].map((label) => label.textContent),
    ...(element.getAttribute('aria-labelledby') ?? '').split(' ').map((id) => id && document.getElementById(id)?.textContent),
    ...[...element.querySelectorAll('[aria-label], [alt], [title]')].flatMap((one) =>
      ['aria-label', 'alt', 'title'].map((name) => one.getAttribute(name)),
    ),
  ];
  const bearing = (selector, name) => [...document.querySelectorAll(selector)].filter((element) =>
    squeezed(wordsOf(element).join('')).includes(squeezed(name)),
  );`;

export class Browser {
  private constructor(
    readonly driver: WebDriver,
    private readonly profile: string,
  ) {}

  static async open(): Promise<Browser> {
    const profile = mkdtempSync(join(tmpdir(), 'ivy-chromium-'));
    const options = new Options();
    options.setChromeBinaryPath(process.env.CHROMIUM ?? '/usr/bin/chromium');
    options.addArguments(
      '--headless',
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--disable-dev-shm-usage',
      `--user-data-dir=${profile}`,
    );
    const logs = new logging.Preferences();
    logs.setLevel('browser', logging.Level.WARNING);
    options.setLoggingPrefs(logs);
    const driver = await new Builder()
      .forBrowser('chrome')
      .setChromeOptions(options)
      .setChromeService(new ServiceBuilder(process.env.CHROMEDRIVER ?? '/usr/bin/chromedriver'))
      .build();
    const browser = new Browser(driver, profile);
    await browser.size(1280, 800);
    return browser;
  }

  async close(): Promise<void> {
    await this.driver.quit();
    rmSync(this.profile, { recursive: true, force: true });
  }

  size(width: number, height: number): Promise<unknown> {
    return this.command('Emulation.setDeviceMetricsOverride', { width, height, deviceScaleFactor: 1, mobile: false });
  }

  /** A command of the browser's own protocol. */
  command(name: string, parameters: object = {}): Promise<unknown> {
    return (this.driver as Driver).sendAndGetDevToolsCommand(name, parameters);
  }

  go(url: string): Promise<void> {
    return this.driver.get(url);
  }

  /** Goes back, as by the browser's own button. Where the driver loses the page while it does, it is asked again. */
  async back(): Promise<void> {
    const from = await this.driver.getCurrentUrl();
    for (let tries = 0; tries < 3; tries++) {
      try {
        return await this.driver.navigate().back();
      } catch (error) {
        if (!/aborted by navigation/.test((error as Error).message)) throw error;
        await this.driver.sleep(300);
        if ((await this.driver.getCurrentUrl()) !== from) return;
      }
    }
    throw new Error(`There was no way back from ${from}.`);
  }

  find(selector: string): Promise<WebElement> {
    return this.#orTell(
      this.driver.wait(until.elementLocated(By.css(selector)), patience, `Nothing on the page is ${selector}`, pause),
    );
  }

  /** Has what went wrong come with what the page was like. */
  async #orTell<T>(wait: Promise<T>): Promise<T> {
    try {
      return await wait;
    } catch (error) {
      const like = await this.run<string>(
        `const { readyState, body } = document;
         const loaded = performance.getEntriesByType('resource').map((one) => one.name + ' ' + one.responseStatus);
         return [location.href, readyState, body?.innerText.slice(0, 300), ...loaded.slice(-12)].join('\\n')`,
      ).catch((other: Error) => other.message);
      throw new Error(`${(error as Error).message}\nThe page was:\n${like}`, { cause: error });
    }
  }

  /** Finds a control by its role's element and its words or accessible name. */
  async named(selector: string, name: string): Promise<WebElement> {
    let found: WebElement | undefined;
    let asked = 0;
    await this.until(`${selector} named ${name}`, async () => {
      // each is asked for its name by itself, so those come first that bear the words, and at times all
      const isInWords = ++asked % 10 !== 0;
      const likely = isInWords
        ? await this.run<WebElement[]>(`${bearing} return bearing(arguments[0], arguments[1])`, selector, name)
        : await this.driver.findElements(By.css(selector));
      for (const element of likely) {
        const label = await element.getAccessibleName();
        if (label === name || label.startsWith(`${name} `)) {
          found = element;
          return true;
        }
      }
      return false;
    });
    return found!;
  }

  /** Presses what is there to be seen: a thing that is found while it is still being laid out is looked for again. */
  async press(selector: string, name?: string): Promise<void> {
    let element: WebElement;
    await this.until(`${selector} can be pressed`, async () => {
      element = name === undefined ? await this.find(selector) : await this.named(selector, name);
      return this.driver.executeScript<boolean>(
        `const [element] = arguments;
         element.scrollIntoView({ block: 'center' });
         const { width, height } = element.getBoundingClientRect();
         return width > 0 && height > 0`,
        element,
      );
    });
    await element!.click();
  }

  async text(selector: string): Promise<string> {
    return (
      (await this.run<string | null>('return document.querySelector(arguments[0])?.innerText ?? null', selector)) ?? ''
    );
  }

  texts(selector: string): Promise<string[]> {
    return this.run(
      'return [...document.querySelectorAll(arguments[0])].map((e) => e.innerText.replace(/\\s+/g, " ").trim())',
      selector,
    );
  }

  run<T>(script: string, ...args: unknown[]): Promise<T> {
    return this.driver.executeScript<T>(script, ...args);
  }

  /** Waits until something holds; a page that redraws meanwhile is asked again. */
  until(what: string, holds: () => Promise<boolean>): Promise<unknown> {
    const asked = () =>
      holds().catch((error: Error) => {
        if (/stale|detached|no such (element|window)|not found in the current frame/i.test(error.message)) return false;
        throw error;
      });
    return this.#orTell(this.driver.wait(asked, patience, `It never came to this: ${what}`, pause));
  }

  untilText(selector: string, words: string): Promise<unknown> {
    return this.until(`${selector} says “${words}”`, async () =>
      (await this.text(selector)).replace(/\s+/g, ' ').includes(words),
    );
  }

  async search(): Promise<string> {
    return new URL(await this.driver.getCurrentUrl()).search;
  }

  untilSearch(search: string): Promise<unknown> {
    return this.until(`the address is ${search || 'bare'}`, async () => (await this.search()) === search);
  }

  /** Inside the Bench's live page. */
  async inFrame<T>(work: () => Promise<T>): Promise<T> {
    await this.driver.switchTo().frame(await this.find('iframe'));
    try {
      return await work();
    } finally {
      await this.driver.switchTo().defaultContent();
    }
  }

  /**
   * What axe finds against WCAG 2.2 AA, each with where: on the whole page, or in a part of it. What is still on its way or
   * moves is waited for, three seconds at most: its colours are half-way then.
   */
  async axe(part?: string): Promise<string[]> {
    await this.run(readFileSync(require.resolve('axe-core/axe.min.js'), 'utf8'));
    const tags = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];
    return this.driver.executeAsyncScript<string[]>(
      `const done = arguments[arguments.length - 1];
       const isCalm = () =>
         !document.querySelector('[aria-busy=true]') &&
         !document.getAnimations().some((one) => one.playState === 'running' && one.effect.getComputedTiming().endTime < Infinity);
       const calm = async () => {
         for (let i = 0; i < 30 && !isCalm(); i++) await new Promise((next) => setTimeout(next, 100));
       };
       calm().then(() => axe.run(arguments[1] ?? document, { runOnly: arguments[0], iframes: true })).then(
         (found) => done(found.violations.flatMap((v) => v.nodes.map((n) => v.id + ': ' + n.target.join(' ') + ' — ' + (n.any[0]?.message ?? v.help)))),
         (error) => done([String(error)]),
       );`,
      tags,
      part,
    );
  }

  /** What the page logged as errors since this was last asked. */
  errors(): Promise<string[]> {
    return this.#logged('SEVERE');
  }

  /** What the page warned of since this was last asked. */
  warnings(): Promise<string[]> {
    return this.#logged('WARNING');
  }

  async #logged(level: string): Promise<string[]> {
    const entries = await this.driver.manage().logs().get('browser');
    return entries.filter((entry) => entry.level.name === level).map((entry) => entry.message);
  }

  /** Saves a picture once nothing moves and every picture on the page has come; with scripts off nobody can ask. */
  async picture(path: string, scripts = true): Promise<void> {
    if (!scripts) await this.driver.sleep(1500);
    else
      await this.driver.executeAsyncScript(
        `const done = arguments[arguments.length - 1];
       const pictures = [...document.images].filter((i) => i.getBoundingClientRect().top < innerHeight).map((i) => i.decode().catch(() => {}));
       const moving = document.getAnimations().map((a) => a.finished.catch(() => {}));
       Promise.race([Promise.all([document.fonts.ready, ...pictures, ...moving]), new Promise((r) => setTimeout(r, 4000))]).then(() => setTimeout(done, 250));`,
      );
    writeFileSync(path, Buffer.from(await this.driver.takeScreenshot(), 'base64'));
  }
}

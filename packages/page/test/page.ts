import { OwnList } from '../src/own-list.js';

/** A page of someone's own, with what a visitor does on it. */
export class Page {
  list!: OwnList;
  readonly told: string[] = [];

  static async open(html: string, search = '', prepare: () => void = () => {}): Promise<Page> {
    const page = new Page();
    jest.spyOn(console, 'warn').mockImplementation((words: string) => void page.told.push(words));
    history.replaceState(null, '', `/notices${search}`);
    document.body.innerHTML = html;
    prepare();
    const list = document.querySelector<HTMLElement>('[data-ivy-list]')!;
    page.list = new OwnList(list.dataset.ivyList!, list);
    await page.list.ready;
    return page;
  }

  close(): void {
    this.list.stop();
    document.body.replaceChildren();
    jest.restoreAllMocks();
  }

  /** What a visitor sees of the list, item by item. */
  get shown(): string[] {
    return [...document.querySelectorAll<HTMLElement>('[data-ivy-list] [data-ivy-field=title]')]
      .filter((one) => one.closest('[hidden]') === null)
      .map((one) => one.textContent.trim());
  }

  element<E extends HTMLElement>(selector: string): E {
    const found = document.querySelector<E>(selector);
    if (!found) throw new Error(`Nothing on the page is ${selector}`);
    return found;
  }

  text(selector: string): string {
    return this.element(selector).textContent.trim();
  }

  async press(selector: string): Promise<void> {
    this.element(selector).click();
    await this.settle();
  }

  async type(selector: string, value: string): Promise<void> {
    const box = this.element<HTMLInputElement>(selector);
    box.value = value;
    box.dispatchEvent(new Event('input', { bubbles: true }));
    box.dispatchEvent(new Event('change', { bubbles: true }));
    await this.settle();
  }

  async settle(): Promise<void> {
    await new Promise((done) => setTimeout(done, 160));
  }
}

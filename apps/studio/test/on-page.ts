import { act, type ReactNode } from 'react';
import { createRoot, type Root } from 'react-dom/client';

(globalThis as { IS_REACT_ACT_ENVIRONMENT?: boolean }).IS_REACT_ACT_ENVIRONMENT = true;

/** A part of the studio on a page of its own, with what a person does to it. */
export class OnPage {
  #root: Root | undefined;
  element: HTMLElement = document.createElement('div');

  /** To be called in `beforeEach`. */
  open(): void {
    this.element = document.body.appendChild(document.createElement('div'));
    this.#root = createRoot(this.element);
  }

  /** To be called in `afterEach`. */
  close(): void {
    act(() => this.#root?.unmount());
    this.element.remove();
  }

  draw(what: ReactNode): void {
    act(() => this.#root!.render(what));
  }

  /** A control by its accessible name or words. */
  named<E extends HTMLElement>(name: string): E {
    const found = [...this.element.querySelectorAll<E>('button, input, select, textarea')].find(
      (one) => nameOf(one) === name,
    );
    if (!found) throw new Error(`Nothing is called ${name}: ${this.element.textContent}`);
    return found;
  }

  press(name: string): void {
    act(() => this.named(name).click());
  }

  key(name: string, key: string, held: { altKey?: boolean } = {}): void {
    act(() => {
      this.named(name).dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...held }));
    });
  }

  /** Types into a box, or chooses from a list. */
  type(name: string, value: string): void {
    act(() => {
      const box = this.named<HTMLInputElement>(name);
      const isList = (box as HTMLElement) instanceof HTMLSelectElement;
      // React listens to the property of the element itself, so that of its class is set
      Object.getOwnPropertyDescriptor(Object.getPrototypeOf(box), 'value')!.set!.call(box, value);
      box.dispatchEvent(new Event(isList ? 'change' : 'input', { bubbles: true }));
    });
  }

  /** Goes on from a box to elsewhere. */
  leave(name: string): void {
    act(() => {
      this.named(name).dispatchEvent(new FocusEvent('focusout', { bubbles: true }));
    });
  }

  texts(selector: string): string[] {
    return [...this.element.querySelectorAll(selector)].map((one) => one.textContent.trim());
  }
}

/** What a control is called by: itself, its label, or its words. */
function nameOf(control: HTMLElement): string {
  const label = 'labels' in control ? (control as HTMLInputElement).labels?.[0] : undefined;
  return control.getAttribute('aria-label') ?? (label ?? control).textContent.trim();
}

import { isMarksChange, keepMarks, readMarks } from './kept.js';

/** The posts of a source that a visitor marked: the same for all lenses of that source, on this device. */
export class Marks {
  ids: ReadonlySet<string> = new Set();
  #source: string | undefined;

  /** Takes the marks of a source, where it is another one. */
  of(source: string): void {
    if (this.#source === source) return;
    this.#source = source;
    this.ids = readMarks(source);
  }

  /** Marks a post, or takes the mark away. */
  toggle(id: string): void {
    const ids = new Set(this.ids);
    if (!ids.delete(id)) ids.add(id);
    this.ids = ids;
    keepMarks(this.#source!, ids);
  }

  /** Hears of marks made in other tabs; what it returns ends that. */
  watch(onTold: () => void): () => void {
    const hear = (event: StorageEvent) => {
      if (this.#source === undefined || !isMarksChange(event, this.#source)) return;
      this.ids = readMarks(this.#source);
      onTold();
    };
    addEventListener('storage', hear);
    return () => removeEventListener('storage', hear);
  }
}

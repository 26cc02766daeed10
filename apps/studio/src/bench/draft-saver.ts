import { ApiProblem, Unreachable, type LensView } from '@ivy/client';
import type { Lens } from '@ivy/core';
import { api } from '../api/api.js';

export type Saving =
  | { at: 'saved' }
  | { at: 'saving' }
  /** The server does not answer; it is tried again. */
  | { at: 'offline' }
  /** Someone else saved first. */
  | { at: 'overtaken' }
  | { at: 'refused'; problem: ApiProblem };

const pauseBeforeSaving = 350;
const pauseBeforeRetry = 2500;

/** Saves a draft in the background, one save at a time, each made from the revision before it. */
export class DraftSaver {
  #state: Saving = { at: 'saved' };
  #revision: number;
  #kept: Lens;
  #newest: Lens;
  #isBusy = false;
  #timer: ReturnType<typeof setTimeout> | undefined;
  readonly #watchers = new Set<() => void>();

  constructor(
    private readonly slug: string,
    { draft, draftRevision }: LensView,
    private readonly onSaved: () => void,
  ) {
    this.#revision = draftRevision;
    this.#kept = this.#newest = draft;
  }

  readonly subscribe = (watcher: () => void): (() => void) => {
    this.#watchers.add(watcher);
    return () => this.#watchers.delete(watcher);
  };

  /** Where saving stands. */
  readonly state = (): Saving => this.#state;

  get isSaved(): boolean {
    return this.#newest === this.#kept;
  }

  /** The draft has changed: it is saved a moment after the last change. */
  change(lens: Lens): void {
    this.#newest = lens;
    clearTimeout(this.#timer);
    const { at } = this.#state;
    if (this.isSaved) {
      // undone to what is saved: nothing is refused any more, nor is there anything to save
      if (at === 'refused' || (at === 'saving' && !this.#isBusy)) this.#set({ at: 'saved' });
      return;
    }
    if (at !== 'overtaken') this.#set({ at: 'saving' });
    this.#timer = setTimeout(() => void this.#save(), pauseBeforeSaving);
  }

  /** Takes a draft as the saved one. */
  adopt({ draft, draftRevision }: LensView): void {
    this.#revision = draftRevision;
    this.#kept = draft;
    this.#set({ at: 'saved' });
  }

  /** Saves over what someone else saved. */
  keepMine(theirs: LensView): void {
    this.#revision = theirs.draftRevision;
    void this.#save();
  }

  /** Saves at once what is not saved yet, such as before publishing; true when all of it is. */
  async flush(): Promise<boolean> {
    clearTimeout(this.#timer);
    await this.#save();
    return this.isSaved;
  }

  async #save(): Promise<void> {
    if (this.#isBusy || this.isSaved) return;
    this.#isBusy = true;
    const sent = this.#newest;
    this.#set({ at: 'saving' });
    try {
      const view = await api.ask(
        'put',
        '/api/v1/lenses/{slug}/draft',
        { slug: this.slug },
        {
          body: { config: sent },
          headers: { 'if-match': `"${this.#revision}"` },
        },
      );
      this.#revision = view.draftRevision;
      this.#kept = sent;
      this.#isBusy = false;
      this.onSaved();
      this.#set({ at: 'saved' });
      // what was changed meanwhile
      void this.#save();
    } catch (error) {
      this.#isBusy = false;
      this.#fail(error);
    }
  }

  #fail(error: unknown): void {
    if (error instanceof Unreachable) {
      this.#set({ at: 'offline' });
      this.#timer = setTimeout(() => void this.#save(), pauseBeforeRetry);
    } else if (error instanceof ApiProblem) {
      this.#set(error.status === 412 ? { at: 'overtaken' } : { at: 'refused', problem: error });
    } else throw error;
  }

  #set(state: Saving): void {
    this.#state = state;
    for (const watcher of this.#watchers) watcher();
  }
}

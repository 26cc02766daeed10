import type { Field } from '../../model/post.js';
import { own } from '../../text/own.js';
import type { RawRecord } from './cell.js';
import { sameAs, type FieldContext } from './prepare.js';

/** Values shown of those that come again. */
const shown = 8;

/** Tells which posts are left out because another has the same value. */
export class Leaver {
  readonly #seen = new Map<string, number>();
  readonly #values = new Set<string>();
  #repeated = 0;

  private constructor(
    readonly field: Field,
    /** How often each value comes, where the last with it stays. */
    private readonly times: FieldContext['times'],
    /** Whether all stay, and are only counted. */
    private readonly keepsAll: boolean,
  ) {}

  /** Null where a field has nothing left out. Posts of one id are one, unless that was mended. */
  static of(field: Field, { times }: FieldContext): Leaver | null {
    const rules = (field.mends ?? []).map(({ rule }) => rule.does);
    const keepsAll = rules.includes('number');
    return field.role === 'id' || rules.includes('leave') ? new Leaver(field, times, keepsAll) : null;
  }

  leaves(record: RawRecord): boolean {
    const value = sameAs(this.field, own(record, this.field.key));
    if (value === '') return false;
    const before = this.#seen.get(value) ?? 0;
    this.#seen.set(value, before + 1);
    const leaves = this.times ? before + 1 < this.times.get(value)! : before > 0;
    if (leaves) {
      this.#repeated++;
      if (this.#values.size < shown) this.#values.add(value);
    }
    return leaves && !this.keepsAll;
  }

  /** Posts that come again, left out or not, and some of the values they have in common with others. */
  get repeated(): { posts: number; values: string[] } {
    return { posts: this.#repeated, values: [...this.#values] };
  }
}

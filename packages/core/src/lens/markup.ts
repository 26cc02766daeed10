import {
  choice,
  list,
  object,
  step,
  table,
  text,
  withDefault,
  type ShapeProblem,
  type TypeOf,
} from '../shape/shape.js';

/**
 * What may be said of an element of a page's own: attributes of its markup, without the `data-ivy-` they begin with.
 * What the page script sets itself is none of them.
 */
export const markNames = [
  'list',
  'item',
  'group',
  'field',
  'from',
  'split',
  'type',
  'size',
  'prefix',
  'for',
  'reads',
  'as',
  'was',
  'search',
  'match',
  'end',
  'sort',
  'order',
  'apply',
  'clear',
  'number',
  'count',
  'total',
  'empty',
  'pager',
  'more',
  'facet',
  'label',
  'kind',
] as const;

export type MarkName = (typeof markNames)[number];

/** What is said of the elements that a selector finds: on the page, or in each item. */
const markShape = object({
  at: text({ min: 1, max: 500 }),
  in: withDefault(choice('page', 'item'), () => 'page' as const),
  says: table(text({ max: 300 }), 10),
});

/** A page of someone's own that the lens stands on, and what is marked there without a change to it. */
export const markupShape = object({
  /** Where the page is; empty for one that came as a file. */
  page: withDefault(text({ max: 2000 }), () => ''),
  marks: withDefault(list(markShape, 300), () => []),
});

export type Mark = TypeOf<typeof markShape>;
export type Markup = TypeOf<typeof markupShape>;

export const noMarkup = (): Markup => ({ page: '', marks: [] });

/** What a mapping says that nothing reads. */
export function markupProblems({ marks }: Markup): ShapeProblem[] {
  const known: readonly string[] = markNames;
  return marks.flatMap(({ says }, i) =>
    Object.keys(says)
      .filter((name) => !known.includes(name))
      .map((name) => ({
        pointer: step(`/markup/marks/${i}/says`, name),
        message: `is nothing that a mark says; ${known.join(', ')} are`,
      })),
  );
}

/** Fills the names in braces: `fill('of {total}', { total: 480 })`. */
export function fill(template: string, values: Record<string, string | number>): string {
  return template.replace(/\{(\w+)\}/g, (whole, name: string) =>
    Object.hasOwn(values, name) ? String(values[name]) : whole,
  );
}

/**
 * Picks the form of a text for a number and fills `{n}`, in a language's own figures.
 * A text with fewer forms than the language has categories gives its last form for the rest.
 */
export function fillPlural(template: string, n: number, language: string): string {
  const forms = template.split('|');
  const { rules, order, numbers } = pluralsOf(language);
  const form = forms[Math.min(order.indexOf(rules.select(n)), forms.length - 1)] ?? template;
  return fill(form, { n: numbers.format(n) });
}

interface Plurals {
  rules: Intl.PluralRules;
  /** The language's categories, in the order in which a text has its forms. */
  order: readonly string[];
  numbers: Intl.NumberFormat;
}

const plurals = new Map<string, Plurals>();

/** Made once a language: that takes longer than to fill many texts. */
function pluralsOf(language: string): Plurals {
  let known = plurals.get(language);
  if (!known) {
    const rules = new Intl.PluralRules(language);
    const categories: readonly string[] = rules.resolvedOptions().pluralCategories;
    const order = ['zero', 'one', 'two', 'few', 'many', 'other'].filter((one) => categories.includes(one));
    plurals.set(language, (known = { rules, order, numbers: new Intl.NumberFormat(language) }));
  }
  return known;
}

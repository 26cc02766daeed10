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
  const rules = new Intl.PluralRules(language);
  const categories = rules.resolvedOptions().pluralCategories;
  const order = ['zero', 'one', 'two', 'few', 'many', 'other'].filter((c) => (categories as string[]).includes(c));
  const form = forms[Math.min(order.indexOf(rules.select(n)), forms.length - 1)] ?? template;
  return fill(form, { n: new Intl.NumberFormat(language).format(n) });
}

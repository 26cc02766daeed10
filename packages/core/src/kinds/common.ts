import { choice, flag, list, optional, text, whole, withDefault } from '../shape/shape.js';

/** Most characters of a name in an address. */
export const maxAddressName = 60;
/** Most characters of a facet's label. */
export const maxLabel = 120;

export const addressName = text({
  min: 1,
  max: maxAddressName,
  pattern: /^[\p{Ll}\p{Lo}\p{N}][\p{Ll}\p{Lo}\p{M}\p{N}_-]*$/u,
  says: 'must be lower-case letters, digits, hyphens or underscores, and begin with a letter or digit',
});
export const fieldKey = text({ min: 1, max: 120 });
export const slug = text({ min: 1, max: 120 });

/** What the config of every facet has. */
export const common = {
  /** Its name in the address too. */
  key: addressName,
  /** Empty: the field's own label. */
  label: withDefault(text({ max: maxLabel }), () => ''),
  /** Address names it had before; they keep working. */
  aliases: withDefault(list(addressName, 20), () => []),
  visible: withDefault(flag(), () => true),
  /** Whether it starts folded up; a visitor's own folding is kept on their device. */
  folded: withDefault(flag(), () => false),
  /** Key of another facet: this one is shown only while something is chosen in that. Empty: always. */
  dependsOn: withDefault(text({ max: 60 }), () => ''),
  /**
   * Which addresses with a choice in it search engines may keep: none, those with nothing else chosen, or also those with one
   * choice more in another facet that says so. Without a word, what its kind is best kept by.
   */
  indexed: optional(choice('never', 'alone', 'paired')),
  /** Its colour on the Bench, from 1; without one, the first that is free. Visitors never see it. */
  hue: optional(whole(1, 64)),
};

/** The same as read, with the name of its kind. */
export interface CommonConfig {
  kind: string;
  key: string;
  label: string;
  aliases: string[];
  visible: boolean;
  folded: boolean;
  dependsOn: string;
  indexed?: Indexed | undefined;
  hue?: number | undefined;
}

/** Which addresses with a choice in a facet search engines may keep. */
export type Indexed = 'never' | 'alone' | 'paired';

/** Small drawings that can stand before a value. How each is drawn is for whoever draws. */
export const iconNames = [
  'none',
  'clock',
  'calendar',
  'place',
  'person',
  'tag',
  'star',
  'leaf',
  'drop',
  'sun',
  'speech',
  'book',
  'ruler',
  'link',
] as const;
export type IconName = (typeof iconNames)[number];

/** What money goes into. */
export const CATEGORIES = [
  'wood',
  'sheets',
  'hardware',
  'finish',
  'consumables',
  'tools',
  'trips',
  'other',
] as const;
export type Category = (typeof CATEGORIES)[number];

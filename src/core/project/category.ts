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
/** What money goes into. */
export type Category = (typeof CATEGORIES)[number];

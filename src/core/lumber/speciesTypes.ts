/** How long heartwood lasts where it gets wet; `treated`: by what was pressed into it. */
export type Decay = 'slight' | 'moderate' | 'resistant' | 'treated';

/** What a sheet is made of: it decides what water does to it. */
export type Panel = 'plywood' | 'outdoor plywood' | 'fibreboard' | 'strand board';

/** A wood, or a kind of panel. */
export interface Species {
  name: string;
  /** One or two words for it. */
  short: string;
  words: RegExp;
  /** Relative density at 12 % moisture. */
  density: number;
  decay: Decay;
  /** Absent: it is sawn wood. */
  panel?: Panel;
  /** What a builder should know of it, in a sentence: common practice. */
  note: string;
  source: string;
}

import { HARDWOODS } from './hardwoods';
import { SOFTWOODS } from './softwoods';
import type { Species } from './speciesTypes';

/**
 * What wood is, apart from what a store calls it: the species, how it was treated, and its grade, each a thing of its
 * own. Words are looked for in a material's name; of the species the one whose words say most of it holds (`speciesOf`).
 */

export type { Decay, Panel, Species } from './speciesTypes';

const PANELS = 'from memory; panels differ by maker';

const SHEETS: Species[] = [
  {
    name: 'fibreboard',
    short: 'fibreboard',
    words: /mdf|hdf|fibre ?board|fiber ?board|hard ?board/i,
    density: 0.75,
    decay: 'slight',
    panel: 'fibreboard',
    note: 'Heavy; screws hold poorly in its edges, and it swells when wet.',
    source: PANELS,
  },
  {
    name: 'strand or particle board',
    short: 'strand board',
    words: /osb|strand ?board|particle ?(?:board)?|chip ?board/i,
    density: 0.65,
    decay: 'slight',
    panel: 'strand board',
    note: 'Rough, and swells at its edges when wet.',
    source: PANELS,
  },
  {
    name: 'outdoor plywood',
    short: 'outdoor ply',
    words: /(marine|exterior|outdoor).*(ply|panel|sheet)|ply.*(marine|exterior|outdoor)/i,
    density: 0.55,
    decay: 'slight',
    panel: 'outdoor plywood',
    note: 'Its glue stands water; its edges do not.',
    source: PANELS,
  },
  {
    name: 'birch plywood',
    short: 'birch ply',
    words: /birch.*(?:ply(?:wood)?|sheet|panel)|ply.*birch/i,
    density: 0.65,
    decay: 'slight',
    panel: 'plywood',
    note: 'Few voids, a fine face, a good edge.',
    source: PANELS,
  },
  {
    name: 'plywood',
    short: 'plain ply',
    words: /ply(?:wood)?|multiplex|block ?board|sheathing|sheet|panel/i,
    density: 0.55,
    decay: 'slight',
    panel: 'plywood',
    note: 'A rougher face and more voids: fill and sand.',
    source: PANELS,
  },
];

/** Every species and panel; of two whose words say as much, the first holds. */
export const SPECIES: Species[] = [...SHEETS, ...SOFTWOODS, ...HARDWOODS];

/** What a name that says nothing is taken for. */
export const USUAL_SPECIES = SPECIES.find(({ name }) => name === 'spruce-pine-fir') as Species;
/** What is pressed full of preservative where a name says no more. */
export const TREATED_SPECIES = SPECIES.find(({ name }) => name === 'southern pine') as Species;

/** How wood was treated, by the words that say so. */
export interface Treatment {
  name: string;
  words: RegExp;
  /** Whether its tag says that it may stand in the ground; null: it says nothing, and must be read. */
  inGround: boolean | null;
  source: string;
}

const CLASSES =
  'AWPA U1 use categories: UC3B above ground, UC4A ground contact; EN 335 use classes: 3 above ground, 4 in contact with it (from memory)';

/** The first whose words are said holds: a class before the words "above ground", and those before "ground" alone. */
export const TREATMENTS: Treatment[] = [
  { name: 'treated for ground contact', words: /uc ?4|use class 4/i, inGround: true, source: CLASSES },
  {
    name: 'treated for above ground',
    words: /uc ?3|use class 3|above[ -]ground/i,
    inGround: false,
    source: CLASSES,
  },
  {
    name: 'treated for ground contact',
    words: /(treated|pressure).*ground|ground.*(treated|pressure)/i,
    inGround: true,
    source: CLASSES,
  },
  { name: 'pressure-treated', words: /treated|pressure/i, inGround: null, source: CLASSES },
];

/** How a board was sorted, by the words that say so. */
export interface Grade {
  name: string;
  words: RegExp;
  /** Extra boards against defects, as a share of those bought. */
  spare: number;
  /** Cheapest first. */
  rank: number;
  note: string;
}

/** Default spares by grade: common practice, to be changed. C16 and C24 are strength classes of EN 338 (from memory). */
export const GRADES: Grade[] = [
  {
    name: 'stud',
    words: /\bstuds?\b|framing/i,
    spare: 0.1,
    rank: 0,
    note: 'More wane, knots and bend: pick through the pile, and take a few more.',
  },
  {
    name: 'C16',
    words: /\bc ?16\b/i,
    spare: 0.1,
    rank: 0,
    note: 'Graded for strength, not for looks: knots and some bend are in order.',
  },
  {
    name: 'C24',
    words: /\bc ?24\b/i,
    spare: 0.05,
    rank: 1,
    note: 'Graded for more strength: slower grown, fewer and smaller knots.',
  },
  {
    name: 'No. 2',
    words: /\bno\.? ?2\b|#2|common/i,
    spare: 0.05,
    rank: 1,
    note: 'Sound knots; most boards are straight enough after a look.',
  },
  {
    name: 'select or premium',
    words: /select|premium|prime|clear/i,
    spare: 0,
    rank: 2,
    note: 'Straight, little wane, few knots; dearer for it.',
  },
];

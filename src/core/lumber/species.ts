import { HARDWOODS } from './hardwoods';
import type { Species } from './speciesTypes';

/**
 * What wood is, apart from what a store calls it: the species, how it was treated, and its grade, each a thing of its
 * own. Words are looked for in a material's name; of the species the one whose words say most of it holds (`speciesOf`).
 */

export type { Decay, Panel, Species } from './speciesTypes';

const HANDBOOK =
  'Forest Products Laboratory, Wood Handbook, FPL-GTR-282: density ch. 5, table 5-3; decay ch. 14, table 14-1 (from memory)';
const PANELS = 'from memory; panels differ by maker';

const SOFTWOODS_AND_PANELS: Species[] = [
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
  {
    name: 'redwood',
    short: 'redwood',
    words: /redwood/i,
    density: 0.38,
    decay: 'resistant',
    note: 'Sold in some regions only.',
    source: HANDBOOK,
  },
  {
    name: 'western redcedar',
    short: 'cedar',
    words: /(?:western )?(?:red )?cedar/i,
    density: 0.32,
    decay: 'resistant',
    note: 'Light and soft; fence pickets are its cheap form.',
    source: HANDBOOK,
  },
  {
    name: 'Douglas-fir',
    short: 'Douglas-fir',
    words: /douglas(?:[ -]fir)?/i,
    density: 0.48,
    decay: 'moderate',
    note: 'Strong; undried stock checks as it dries.',
    source: HANDBOOK,
  },
  {
    name: 'larch',
    short: 'larch',
    words: /(?:siberian )?larch/i,
    density: 0.52,
    decay: 'moderate',
    note: 'Hard and heavy; pilot holes near ends.',
    source: HANDBOOK,
  },
  {
    name: 'southern pine',
    short: 'southern pine',
    words: /southern(?: yellow)?(?: pine)?|yellow pine|syp\b/i,
    density: 0.51,
    decay: 'slight',
    note: 'Strong and heavy.',
    source: HANDBOOK,
  },
  {
    name: 'pine',
    short: 'pine',
    words: /(?:white |ponderosa |radiata |knotty |scots )?pine/i,
    density: 0.4,
    decay: 'slight',
    note: 'Stains to look dearer; sand it well.',
    source: HANDBOOK,
  },
  {
    name: 'spruce-pine-fir',
    short: 'spruce',
    words: /spruce(?:[ -]pine)?(?:[ -]fir)?|\bs-?p-?f\b|stud|\bfir\b|white ?wood/i,
    density: 0.42,
    decay: 'slight',
    note: 'The cheapest and softest choice.',
    source: HANDBOOK,
  },
];

export const SPECIES: Species[] = [...SOFTWOODS_AND_PANELS, ...HARDWOODS];

/** What a name that says nothing is taken for. */
export const USUAL_SPECIES = SPECIES.find(({ name }) => name === 'spruce-pine-fir') as Species;
/** What is pressed full of preservative where a name says no more. */
export const TREATED_SPECIES = SPECIES.find(({ name }) => name === 'southern pine') as Species;

export interface Treatment {
  name: string;
  words: RegExp;
  /** Whether its tag says that it may stand in the ground; null: it says nothing, and must be read. */
  inGround: boolean | null;
  source: string;
}

const AWPA = 'AWPA U1 use categories: UC3B above ground, UC4A ground contact (from memory)';

export const TREATMENTS: Treatment[] = [
  {
    name: 'treated for ground contact',
    words: /uc4|(treated|pressure).*ground|ground.*(treated|pressure)/i,
    inGround: true,
    source: AWPA,
  },
  { name: 'treated for above ground', words: /uc3|above ground/i, inGround: false, source: AWPA },
  { name: 'pressure-treated', words: /treated|pressure/i, inGround: null, source: AWPA },
];

export interface Grade {
  name: string;
  words: RegExp;
  /** Extra boards against defects, as a share of those bought. */
  spare: number;
  /** Cheapest first. */
  rank: number;
  note: string;
}

/** Default spares by grade: common practice, to be changed. */
export const GRADES: Grade[] = [
  {
    name: 'stud',
    words: /\bstuds?\b|framing/i,
    spare: 0.1,
    rank: 0,
    note: 'More wane, knots and bend: pick through the pile, and take a few more.',
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

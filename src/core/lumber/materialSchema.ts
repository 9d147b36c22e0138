import { FLAG, NAME, NOTE, number, object, oneOf, orNull, positive, text } from '../schemaKinds';
import type { Decay, Panel } from './species';

const WORDS = text(200);

/** What the name on a shelf tag stands for: a species, a treatment and a grade, and what follows from them. */
export const material = object(
  {
    /** As the store calls it. */
    name: NAME,
    species: WORDS,
    /** Blank: none. */
    treatment: WORDS,
    /** Blank: the name says none. */
    grade: WORDS,
    /** Relative density at 12 % moisture. */
    density: positive(3),
    decay: oneOf<Decay>('slight', 'moderate', 'resistant', 'treated'),
    /** Of treated wood: whether it may stand in the ground; null: read the tag. */
    inGround: orNull(FLAG),
    /** Null: sawn wood. */
    panel: oneOf<Panel | null>('plywood', 'outdoor plywood', 'fibreboard', 'strand board', null),
    /** Extra boards against defects, as a share. */
    spare: number(0, 10),
    note: NOTE,
    /** Where the figures are from; of the user's own: `yours`. */
    source: text(1000),
  },
  'What the user says of a material. Density is relative, at 12 % moisture.',
);

import { COUNT_OR_NONE, ID, TEXT, list, object, oneOf, optional, refer } from '../../schemaKinds';
import { item } from './parts';
import { LENGTH } from './scalars';

/** A stretch of a board that no part is cut from. */
export const boardMark = object(
  { from: LENGTH, to: LENGTH, kind: oneOf('knot', 'wane', 'split', 'stain', 'staple', 'crook', 'other') },
  'A stretch of a board that no part is cut from, from its left end.',
);

/** A board that is there, as it was measured before it is cut. */
export const measuredBoard = object(
  {
    id: ID,
    /** What it was bought as, or stands on the rack as. */
    item: refer('item', item),
    length: LENGTH,
    marks: list(refer('boardMark', boardMark), { maxItems: 50 }),
  },
  'A board that is there, with its true length and where it is not sound.',
);

/** A piece of a board that is sawn: corners from its left end and lower edge. */
export const sawnPiece = object({
  partId: ID,
  outline: list(object({ x: LENGTH, y: LENGTH }), { minItems: 3, maxItems: 100 }),
  spoiled: optional(LENGTH, 'It was cut wrong: so much of its length is left for something else.'),
});

/** A board or sheet on which sawing has begun: it is in every plan as it is cut. */
export const sawnBoard = object(
  {
    id: ID,
    kind: oneOf('board', 'sheet'),
    section: TEXT,
    material: TEXT,
    length: LENGTH,
    width: LENGTH,
    /** Of the blade that it is sawn with. */
    kerf: LENGTH,
    pieces: list(refer('sawnPiece', sawnPiece), { maxItems: 1000 }),
    offcuts: list(object({ x: LENGTH, y: LENGTH, length: LENGTH, width: LENGTH }), { maxItems: 1000 }),
    /** Cuts that are done of those it takes. */
    done: COUNT_OR_NONE,
  },
  'A board or sheet on which sawing has begun: it is in every plan as it is cut.',
);

import type { Exposure } from '../../lumber';
import { CORNERS, EDGES, type Operation, type OperationKind } from '../../shape';
import {
  COUNT_OR_NONE,
  FLAG,
  FORMULA,
  ID,
  NAME,
  NOTE,
  TEXT,
  list,
  object,
  oneOf,
  optional,
  orNull,
  record,
  refer,
  text,
  whole,
} from '../../schemaKinds';
import { CATEGORY, MEASURE, MONEY, OTHER_COLUMNS } from './scalars';

/** Board, sheet or hardware. */
export const kind = oneOf('board', 'sheet', 'hardware');

/** What a shelf tag names. Two spellings of one thing have the same `itemKey`. */
export const item = object({
  kind,
  /** As on the tag; hardware is matched by it. */
  name: TEXT,
  section: TEXT,
  length: orNull(MEASURE),
  /** Length at its ends that cannot be used, both together (dog ears, checks); absent: none. */
  unusable: optional(MEASURE),
  width: orNull(MEASURE),
  material: TEXT,
});

/** A measure or a number with a name, that formulas use. Names differ without regard to case. */
export const variable = object({
  id: ID,
  name: text(60, 1),
  /** A bare number in its formula is a length in the project's unit, or stays a number: a count, degrees. */
  kind: oneOf('length', 'number'),
  formula: TEXT,
  note: NOTE,
});

/** A length taken on the real thing: it holds for what is not cut yet. */
export const measured = object({
  length: MEASURE,
  /** `between the rails` */
  where: TEXT,
  /** Pieces that were cut before, at the planned length. */
  cut: COUNT_OR_NONE,
});

/** Which way the grain of a sheet part runs. */
export const grain = oneOf('any', 'length');

/** What is seen of a part: all round, one wide face and the edges, nothing. */
export const shows = oneOf('all', 'front', 'none');

/** What can be done to the outline of a part: `Operation` of the core's shapes says what each one's measures mean. */
export const operationKind = oneOf<OperationKind>('clip', 'taper', 'notch', 'round', 'curve', 'hole');

/** Where it is done, on a part that lies with its length from left to right and its face up. */
export const operationPlace = oneOf<Operation['place']>(...CORNERS, ...EDGES, 'inside');

/** One thing that is done to the outline of a part; measures that its kind has not are null. */
export const shaping = object({
  kind: operationKind,
  place: operationPlace,
  along: orNull(MEASURE),
  across: orNull(MEASURE),
  from: orNull(MEASURE),
});

/** One line of what a project is made of. Lengths are finished lengths, along the longest edge. */
export const part = object({
  id: ID,
  name: NAME,
  kind,
  /** For one of the project; `builds` multiplies it. None only where a formula comes to none. */
  quantity: COUNT_OR_NONE,
  /** Board: `2x4`, `30x90mm`. Sheet: its trade thickness. Hardware: blank. */
  section: TEXT,
  length: orNull(MEASURE),
  /** Sheets only. */
  width: orNull(MEASURE),
  /** In order of liking; empty: what the group allows. */
  materials: list(NAME),
  /** In the form of `writeEnds`. */
  ends: TEXT,
  grain,
  /** How much shorter a piece may come out; null: the project's setting. */
  shortOk: orNull(MEASURE),
  /** Hardware only: the item it needs as the shelf tag names it; blank: its own name. */
  item: TEXT,
  note: NOTE,
  extra: optional(OTHER_COLUMNS),
  formulas: optional(
    object({ quantity: optional(FORMULA), angle: optional(FORMULA) }),
    'What the quantity, or the angle of the ends, follows from.',
  ),
  role: optional(TEXT, 'Which part of its helper it is.'),
  mirrorOf: optional(ID, 'Id of the part that this is the mirror image of.'),
  /** Absent: all. */
  shows: optional(shows, 'What is seen of it: all round, one face and the edges, nothing.'),
  shape: optional(
    list(refer('shaping', shaping), { maxItems: 40 }),
    'What is done to its outline, one after the other; absent: it is as its length, width and ends say.',
  ),
  fitOver: optional(
    MEASURE,
    'It is cut to fit: measured on the piece, and until then sawn so much longer; absent: it is sawn as planned.',
  ),
  measured: optional(measured, 'The length taken on the real thing, where, and how many were cut before.'),
});

/** How two parts are fastened: screws through the one into the other, pocket screws, bolts, nails with glue, brackets. */
export const jointKind = oneOf('through', 'pocket', 'bolt', 'nail', 'bracket', 'glue');

/** So many joints of two parts that are alike; fasteners follow from it by rule. */
export const joint = object({
  id: ID,
  name: NAME,
  how: jointKind,
  /** Ids of parts of the same option; the fastener passes `first` first. */
  first: TEXT,
  second: TEXT,
  /** Which side of the first it passes, and where it goes into the second. */
  through: oneOf('thickness', 'width'),
  into: oneOf('thickness', 'width', 'end'),
  /** Joints, for one of the project. */
  quantity: COUNT_OR_NONE,
  /** What that follows from, where it does. */
  formula: optional(FORMULA),
  /** Fasteners in each. */
  each: whole(1, 1000),
  /** As the shelf tag names it; blank: by the rule. */
  item: TEXT,
  role: optional(TEXT),
});

/** One way to make a group. */
export const option = object({
  id: ID,
  name: NAME,
  parts: list(refer('part', part)),
  joints: optional(list(refer('joint', joint))),
  made: optional(
    object({ helper: TEXT, answers: record(TEXT) }),
    'The helper that made the parts, and what it was told.',
  ),
});

/**
 * What is not cut: `finish` for the surface of parts, `glue` for where they meet, and what an area, a volume or a
 * count given by a formula needs.
 */
export const extraRule = oneOf('finish', 'glue', 'area', 'volume', 'count');

/** What is not cut: a finish, glue, a liner, a fill, a count. */
export const extra = object({
  id: ID,
  name: NAME,
  /** As the shelf tag names it; blank: its name. */
  item: TEXT,
  rule: extraRule,
  /** The group it is for; null: the whole project. */
  groupId: orNull(ID),
  /** A formula: an area, a volume or a count. Blank for finish and glue. */
  amount: TEXT,
  faces: oneOf('all', 'showing'),
  coats: whole(1, 20),
  /** What one of the item covers or fills: `250 ft2`, `40 l`. Blank for a count. */
  covers: TEXT,
  note: NOTE,
  role: optional(TEXT),
  /** What one costs, with tax, where it is not looked up in the price book. */
  price: optional(MONEY),
  /** What its money goes into; absent: by its name. */
  category: optional(CATEGORY),
  isOwned: optional(FLAG, 'It is there already, and costs nothing.'),
});

/** Parts that belong together. */
export const group = object({
  id: ID,
  name: NAME,
  exposure: oneOf<Exposure>('indoors', 'damp', 'outdoors', 'ground'),
  /** In order of liking; empty: any. */
  materials: list(NAME),
  /** Id of the chosen option. */
  chosen: ID,
  options: list(refer('option', option), { minItems: 1 }),
  copies: optional(whole(1, 10_000), 'How many of the group one of the project has; absent: one.'),
  nearFood: optional(FLAG, 'Food, or soil that food grows in, touches it.'),
  isLater: optional(FLAG, 'Left for another day: not planned, not bought.'),
});

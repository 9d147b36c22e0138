import {
  COUNT,
  CURRENCY,
  DAY,
  FLAG,
  ID,
  NAME,
  NOTE,
  SHARE,
  TEXT,
  YES,
  list,
  number,
  object,
  oneOf,
  optional,
  orNull,
  positive,
  record,
  refer,
  text,
  whole,
} from '../../schemaKinds';
import { Type } from '@sinclair/typebox';
import { item } from './parts';
import { CATEGORY, MEASURE, MONEY, OTHER_COLUMNS, UNIT_PRICE } from './scalars';

const ITEM = refer('item', item);

/** What kind of store it is. */
export const storeKind = oneOf('home centre', 'lumber yard', 'sawmill', 'online', 'other');

/** A store with its terms. */
export const store = object({
  id: ID,
  name: NAME,
  kind: storeKind,
  currency: CURRENCY,
  /** What going there once costs. */
  trip: MONEY,
  taxFree: FLAG,
  /** Share off its goods, before tax. */
  discount: SHARE,
  /** Saws boards and sheets so that they can be carried: at most so many cuts each; true: one. */
  cuts: Type.Union([FLAG, whole(0, 100)]),
  /** What each such cut costs; absent: nothing. */
  cutFee: optional(MONEY),
  shipping: orNull(object({ fee: MONEY, freeFrom: orNull(MONEY) })),
  note: NOTE,
  /** What the trip follows from, where it does: the way there and back, and what a mile or kilometre costs. */
  way: optional(object({ distance: number(0, 100_000), unit: oneOf('mi', 'km'), rate: UNIT_PRICE })),
  /** Its own share of tax; absent: the project's. */
  taxRate: optional(SHARE),
  /** The price service that is followed: its name for the store, and the day up to which its prices were looked at. */
  feed: optional(object({ id: ID, taken: orNull(DAY) })),
  aisles: optional(
    list(CATEGORY, { maxItems: 8 }),
    'The order in which one walks through it; absent: the usual one.',
  ),
  isSample: optional(YES, 'It is invented: only samples buy there.'),
});

/** A pack sold by weight: what it weighs, and the pieces to a pound or kilogram. */
export const packWeight = object({
  amount: positive(100_000),
  unit: oneOf('lb', 'kg'),
  pieces: positive(1_000_000),
});

/** Rough wood of random widths: what planing takes off its thickness, and the share of it that is lost. */
export const rough = object({ planing: MEASURE, waste: number(0, 10) });

/** Of what a price is. */
export const priceUnit = oneOf('each', 'ft', 'm', 'bf', 'sqft', 'm2', 'm3', 'pack');

/** One price seen: an observation. The newest valid one counts. */
export const price = object({
  id: ID,
  storeId: ID,
  item: ITEM,
  /** Of one `unit`, as on the tag. */
  price: UNIT_PRICE,
  unit: priceUnit,
  /** Pieces that one purchase brings. */
  pack: COUNT,
  /** Holds from this many purchases on. */
  minQty: COUNT,
  /** Most purchases the store can fill. */
  available: orNull(whole(0)),
  /** The day it was seen; null: unknown. */
  date: orNull(DAY),
  source: oneOf('typed', 'file', 'service', 'sample'),
  note: NOTE,
  extra: optional(OTHER_COLUMNS),
  /** Where the pack is sold by weight. */
  weight: optional(packWeight),
  /** Boards only: its section and length are then what it usually comes in. */
  rough: optional(rough),
});

/** Something that is owned: an offcut, a board, hardware left over. */
export const rackEntry = object(
  {
    id: ID,
    item: ITEM,
    /** Pieces. */
    quantity: COUNT,
    share: optional(
      Type.Number({ exclusiveMinimum: 0, exclusiveMaximum: 1 }),
      'Of an opened can or bag: how full it is.',
    ),
    /** The project it is left from; blank: none. */
    from: text(200),
    /** Absent: nothing. */
    value: optional(
      object({ sum: MONEY, currency: CURRENCY }),
      'What one piece is worth to the project that uses it.',
    ),
    /** Absent: none. */
    keptFor: optional(
      record(COUNT),
      'How many pieces are kept for which projects, by id: no other plan counts on them.',
    ),
  },
  'Something that is owned: an offcut, a board, hardware left over.',
);

/** A tool that is owned. */
export const tool = object({ id: ID, name: NAME });

/** What such a thing costs ready made, seen when and where. */
export const readyMade = object(
  {
    id: ID,
    price: MONEY,
    source: TEXT,
    /** ISO date. */
    date: text(10),
  },
  'What such a thing costs ready made, seen when and where.',
);

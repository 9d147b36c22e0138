import {
  COUNT,
  COUNT_OR_NONE,
  DAY,
  FLAG,
  ID,
  NOTE,
  SHARE,
  TEXT,
  list,
  object,
  oneOf,
  optional,
  orNull,
  refer,
  text,
  whole,
} from '../../schemaKinds';
import { CATEGORIES } from '../category';
import { item } from './parts';
import { CATEGORY, MONEY, SIGNED_MONEY } from './scalars';

const ITEM = refer('item', item);

/** How a tool counts in what a project costs all in: whole, by its share of so many projects, or not at all. */
export const charge = object(
  { way: oneOf('whole', 'spread', 'out'), over: COUNT },
  'How a tool counts in what a project costs all in.',
);

/** Something taken back to the store, and what came back for it. */
export const returned = object(
  {
    id: ID,
    date: DAY,
    /** Purchases. */
    quantity: COUNT_OR_NONE,
    price: SIGNED_MONEY,
    tax: SIGNED_MONEY,
  },
  'What was taken back to the store, and what came back for it.',
);

/** The part of a line that is this project's: its price and tax are that part's. */
export const share = object({
  /** Of its pieces, above 0 and below 1. */
  part: SHARE,
  /** What the whole came to, with tax. */
  whole: SIGNED_MONEY,
  /** Who has the rest. */
  with: text(200),
});

/** One line of a receipt. */
export const purchaseLine = object({
  item: ITEM,
  /** Pieces that one purchase brought. */
  pack: COUNT,
  /** Purchases. */
  quantity: COUNT,
  /** What the goods of the line came to, without tax. */
  price: SIGNED_MONEY,
  tax: SIGNED_MONEY,
  category: CATEGORY,
  for: optional(TEXT, 'Hardware: the item that it was bought in place of.'),
  share: optional(
    share,
    "The part of it that is this project's, what the whole came to with tax, and who has the rest.",
  ),
  /** What was taken back to the store of it. */
  returned: optional(list(refer('returned', returned), { maxItems: 1000 })),
  /** Of a tool: how it counts all in; absent: whole. */
  charge: optional(refer('charge', charge)),
  note: optional(NOTE),
});

/** What a receipt says. */
export const receipt = object({
  /** With tax. */
  total: SIGNED_MONEY,
  /** Null: it tells none. */
  tax: orNull(SIGNED_MONEY),
});

/** What was paid at one store at one time. */
export const purchase = object({
  id: ID,
  date: DAY,
  /** Blank: a store that is not in the book. */
  storeId: text(100),
  /** The store's name then. */
  store: TEXT,
  lines: list(refer('purchaseLine', purchaseLine), { minItems: 1 }),
  note: NOTE,
  isOpen: optional(FLAG, 'It is in the cart, and not paid yet.'),
  receipt: optional(receipt, 'What the receipt says, with tax; its tax where it tells one.'),
  /** What going there came to when this was recorded; later changes of the price book leave it. Absent: nothing. */
  trip: optional(SIGNED_MONEY),
  /** What was charged for sending it. Absent: not settled yet; the plan then says what is still due. */
  shipping: optional(SIGNED_MONEY),
});

/** How a target is meant. */
export const budget = object(
  {
    /** Sums that make up the target; absent: it is one sum. */
    byCategory: optional(
      object(
        Object.fromEntries(CATEGORIES.map((key) => [key, optional(MONEY)])) as Record<
          (typeof CATEGORIES)[number],
          ReturnType<typeof optional<typeof MONEY>>
        >,
      ),
    ),
    /** Share of what is still to buy that is held back for what goes wrong. */
    reserve: SHARE,
    /** The target is for each piece of work; otherwise for all that are built. */
    isEach: FLAG,
    /** ISO date by which it is to be done. */
    date: orNull(DAY),
  },
  'How the target is meant: by category, with a share of what is still to buy held back, for each piece of work or for all, by a day.',
);

/** One line of a plan as it stood. */
export const baselineLine = object({
  item: ITEM,
  /** Pieces. */
  quantity: whole(0, 1_000_000),
  /** With tax. */
  paid: SIGNED_MONEY,
  category: CATEGORY,
});

/** The plan as it stood before anything was bought: what paid is held against. */
export const baseline = object(
  {
    date: DAY,
    lines: list(baselineLine, { maxItems: 10_000 }),
    /** Trips and shipping. */
    trips: SIGNED_MONEY,
  },
  'The plan as it stood before anything was bought.',
);

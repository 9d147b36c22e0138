import type { Item, Axis, Cutting, Leaf, Stock } from '../model';
import type { BoardPiece } from '../heuristics/packBoards';

/** Pieces that a saw cannot tell apart: of one shape, allowed in the same materials. */
export interface PieceType {
  /** One of them. */
  part: Item;
  demand: number;
  /** The part of each piece. */
  pieces: Item[];
  /** How it lies on a board of its own section. */
  board: BoardPiece | null;
}

/** One way to cut a board or sheet: how many of each type, by its place in the list. */
export interface Pattern {
  /** Place in the list of stocks. */
  stock: number;
  counts: [type: number, count: number][];
  /** How it is taken apart, where it is not only crosscut. */
  cutting: Cutting | null;
}

/** What is to be cut, and what from. */
export interface CuttingInstance {
  types: PieceType[];
  stocks: Stock[];
}

/** A pattern's worth, for the worths of its pieces. */
export interface PricingResult {
  /** What no pattern of the stock exceeds. */
  bound: number;
  /** The best found. */
  patterns: Pattern[];
}

/**
 * The ways to cut some stocks that share their pieces: the best for given worths of pieces, and all that come near it.
 */
export interface PatternGenerator {
  /** Places in the list of stocks. */
  stocks: number[];
  /** What is cut both ways: how pieces lie on it. Not all its patterns can be looked through. Null: it is only crosscut. */
  panel: Panel | null;
  /** The best pattern of each stock for the worth of one piece of each type; none takes more of a type than `left` where that can be kept. */
  price: (worth: Float64Array, left: number[]) => PricingResult[];
  /** Good patterns that take no more of a type than `left`. */
  fill: (worth: Float64Array, left: number[]) => Pattern[];
  /**
   * Every full pattern of `stocks[at]` worth `least` or more; null where there are more than `limit` or the space cannot
   * be enumerated. A full pattern has no room for one piece more.
   */
  enumerate: (at: number, worth: Float64Array, least: number, limit: number) => Pattern[] | null;
}

/** A leaf that knows its type. */
export type TypedLeaf = Leaf & { type: number };

/** A type as it lies, with its size in cells and a kerf both ways. */
export interface Placed {
  type: number;
  leaf: Leaf;
  along: number;
  across: number;
}

/** A size each way, in ticks. */
export type Sizes = Record<Axis, number>;

/** A stock to be cut both ways: its room and the ways of pieces on it in ticks, with a kerf each way. */
export interface Panel {
  room: Sizes;
  ways: Placed[];
}

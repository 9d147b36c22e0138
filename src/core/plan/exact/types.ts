import type { Ticks } from '../../measure';
import type { BoardPiece } from '../packBoards';
import type { Stock } from '../stock';

/** Answers a mixed-integer program in CPLEX LP text; null where nothing was found in the time. */
export type SolveProgram = (
  text: string,
  seconds: number,
) => { isOptimal: boolean; values: (name: string) => number } | null;

/** Pieces that a saw cannot tell apart: of one size, allowed in the same materials. */
export interface PieceType {
  /** What one takes of a board: its reach, less its slack, and a kerf. */
  size: Ticks;
  demand: number;
  /** One entry for each piece. */
  pieces: BoardPiece[];
  materials: string[];
}

/** Boards of one section, material and length, and what may be cut from them. */
export interface PatternStock {
  stock: Stock;
  material: string;
  /** How much the sizes on one board may come to. */
  room: Ticks;
}

/** One way to cut a board: how many of each type, by its place in the list. */
export interface Pattern {
  stock: PatternStock;
  counts: [type: number, count: number][];
}

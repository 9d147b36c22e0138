import type { Degrees, Ticks } from '../../units';
import type { Point } from './plan';

/** What a saw is set to for a cut. Cuts that follow each other with the same setting need no new one. */
export type Setup =
  | { tool: 'fence'; fence: Ticks }
  /** `stop`: what is kept, along its longest edge. `angle`: off square, across the face; `bevel`: across the thickness. */
  | { tool: 'stop'; stop: Ticks; angle: Degrees; bevel: Degrees }
  /** An end that is only made clean, or slanted: nothing is measured from a stop. */
  | { tool: 'end'; angle: Degrees; bevel: Degrees };

/**
 * One cut of a sequence. The board is piece 0; `from` is used up, `to` names what lies before the line and beyond the kerf, null
 * where nothing is left. `line`: the near side of the kerf, in the board's own coordinates; the kerf lies beyond it, towards
 * greater x for a crosscut and greater y for a rip, square to the line where that slants.
 */
export interface SawCut {
  from: number;
  kind: 'crosscut' | 'rip';
  line: [Point, Point];
  to: [number | null, number | null];
  setup: Setup;
  /** The store makes it, so that the board can be carried. */
  store?: true;
}

/** What a piece that is left at the end is: one of the layout's pieces, by its index, an offcut, or waste. */
export type Remainder = number | 'offcut' | 'waste';

/** The saw's work on one board, cut by cut, and what each piece is that is left by it. */
export interface Sequence {
  cuts: SawCut[];
  leaves: Record<number, Remainder>;
}

import type { Ticks } from '../../units';

/** Sizes on a whole-numbered grid, none smaller than it is: what fits on the grid fits in the wood. */
export interface Grid {
  /** Cells of the room. */
  cells: number;
  /** A size in cells, rounded up. */
  up: (size: Ticks) => number;
  /** A size in cells, rounded down: for bounds. */
  down: (size: Ticks) => number;
  /** No size was rounded. */
  isExact: boolean;
}

const divisor = (a: number, b: number): number => (b === 0 ? a : divisor(b, a % b));

/** Slants come out at any tick; they are rounded up to a grid no coarser than this, half a millimetre. */
const FINE = 160;

/**
 * The coarsest grid on which all sizes are whole, with at most `most` cells in the room; where that is not to be had, sizes
 * are rounded up. `exact` sizes make the grid, `others` (slants) are rounded up to it.
 */
export const gridOf = (room: Ticks, exact: Ticks[], others: Ticks[], most: number): Grid => {
  let step = exact.reduce((common, size) => divisor(common, size), 0) || FINE;
  let isExact = true;
  if (others.length > 0) {
    isExact = others.every((size) => size % step === 0);
    for (let parts = Math.ceil(step / FINE); !isExact && parts <= step; parts++)
      if (step % parts === 0) {
        step /= parts;
        break;
      }
  }
  if (room / step > most) {
    step = Math.ceil(room / most);
    isExact = false;
  }
  return {
    cells: Math.floor(room / step),
    up: (size) => Math.ceil(size / step),
    down: (size) => Math.floor(size / step),
    isExact,
  };
};

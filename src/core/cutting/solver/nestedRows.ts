import { bestOf, fillTable, type Block, type Table } from './knapsack';
import type { Placed } from './types';

/** A piece that can nest in a strip of its width, in cells. */
export interface NestedPiece {
  placed: Placed;
  /** How wide its strip is. */
  across: number;
  /** Its mean length, with the kerf of its cut. */
  size: number;
  /** The offset of its slants: the largest of a row is lost once. */
  slant: number;
  /** No more of it are wanted. */
  most: number;
}

/** Something square that stands in the same strip, behind the row: pieces as high as it or lower, one beside the other. */
export interface SquareSlot {
  size: number;
  worth: number;
  /** How often it may come; infinite: as often as it fits. */
  most: number;
}

/** The most that a strip of `wide` cells is worth with pieces of its width that nest, and what it is made of. */
export interface NestedFilling {
  worth: number;
  /** What nests, one for each, and how often each slot stands behind it. */
  filling: () => { nested: Placed[]; slots: number[] };
}

/**
 * A strip filled as a board is that is only crosscut: slants in those that are steeper, the largest offset once, and behind them what
 * is square. Null where nothing nests.
 */
export const nestedFilling = (
  pieces: NestedPiece[],
  slots: SquareSlot[],
  worth: Float64Array,
  wide: number,
): NestedFilling | null => {
  if (pieces.length === 0) return null;
  const slants = [...new Set(pieces.map(({ slant }) => slant))].sort((a, b) => b - a);
  const groups = slants.map((slant) => pieces.filter((piece) => piece.slant === slant));
  const blocks: Block[] = groups.map((own, at) => ({
    charge: slants[at] ?? 0,
    items: own.map(({ placed, size, most }) => ({
      size: Math.max(1, size),
      worth: worth[placed.type] ?? 0,
      most: Math.min(most, Math.floor(wide / Math.max(1, size))),
    })),
  }));
  blocks.push({
    charge: 0,
    items: slots.map(({ size, worth: value, most }) => ({
      size,
      worth: value,
      most: Math.min(most, Math.floor(wide / size)),
    })),
  });
  const table: Table = fillTable(blocks, wide);
  return {
    worth: table.entry[0]?.[wide] ?? 0,
    filling: () => {
      const counts = bestOf(table, wide);
      const nested = groups.flatMap((own, at) =>
        own.flatMap(({ placed }, index) =>
          Array.from({ length: counts[at]?.[index] ?? 0 }, (): Placed => placed),
        ),
      );
      return { nested, slots: counts[groups.length] ?? [] };
    },
  };
};

/** The most that a cell of a strip can be worth with what nests. */
export const nestedDensity = (pieces: NestedPiece[], worth: Float64Array): number =>
  Math.max(0, ...pieces.map(({ placed, size }) => (worth[placed.type] ?? 0) / Math.max(1, size)));

import { leavesOf, otherAxis, sideBySide, type Axis, type Cutting } from '../model';
import type { Pattern, Placed, TypedLeaf } from './types';

/** Pieces on a panel: strips side by side along `first`, each of what nests and of stacks, each of pieces one behind the other. */
export const cuttingOf = (
  first: Axis,
  strips: { stacks: { pieces: Placed[] }[]; nested?: Placed[] }[],
): Cutting => {
  const typed = ({ leaf, type }: Placed): TypedLeaf => ({ ...leaf, type });
  return {
    axis: first,
    parts: strips.map(({ stacks, nested = [] }) =>
      sideBySide(otherAxis(first), [
        ...inRow(nested.map(typed)),
        ...stacks.map(({ pieces }) => sideBySide(first, pieces.map(typed))),
      ]),
    ),
  };
};

/** Pieces that nest, as one part of their strip. */
export const inRow = (leaves: TypedLeaf[]): Cutting[] => (leaves.length > 1 ? [{ nested: leaves }] : leaves);

/** A cutting of typed leaves as a pattern of a stock. */
export const patternOf = (stock: number, cutting: Cutting): Pattern => {
  const counts = new Map<number, number>();
  for (const leaf of leavesOf(cutting)) {
    const { type } = leaf as TypedLeaf;
    counts.set(type, (counts.get(type) ?? 0) + 1);
  }
  return { stock, counts: [...counts].sort(([a], [b]) => a - b), cutting };
};

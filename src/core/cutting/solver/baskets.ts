import {
  isLeaf,
  isNested,
  leavesOf,
  type Cutting,
  type CuttingProblem,
  type Item,
  type Leaf,
  type Stock,
} from '../model';
import type { Basket } from '../heuristics/assemble';
import { boardPiece, filledWith } from '../heuristics/packBoards';
import { boardsOf, type Times } from './dive';
import type { Subproblem } from './subproblem';
import type { Pattern, TypedLeaf } from './types';

/** What was chosen for a subproblem: how often each pattern is cut, and what is bought. */
export interface Chosen {
  solver: { readonly subproblem: Subproblem; readonly patterns: Pattern[] };
  times: Times;
  values: ArrayLike<number>;
}

/**
 * Whether what was chosen cuts every piece from boards that are there or bought. A solver works with tolerances: what it says
 * of whole numbers is counted again before it is believed.
 */
export const isWhole = ({ solver: { subproblem, patterns }, times, values }: Chosen): boolean => {
  const { wood, supply } = subproblem;
  const missing = wood.types.map(({ demand }) => demand);
  const boards = boardsOf(supply, values);
  for (const [index, count] of times) {
    const pattern = patterns[index];
    if (!pattern) return false;
    for (const [type, each] of pattern.counts) missing[type] = (missing[type] ?? 0) - each * count;
    boards[pattern.stock] = (boards[pattern.stock] ?? 0) - count;
  }
  return missing.every((pieces) => pieces <= 0) && boards.every((left) => left >= 0);
};

/** What was chosen for all subproblems, as boards and purchases. */
export const basketOf = (chosen: Chosen[], input: CuttingProblem): Basket => {
  const basket: Basket = { boards: [], panels: [], purchases: [] };
  for (const { solver, times, values } of chosen) {
    const { wood, tags } = solver.subproblem;
    for (const { column, offer } of tags) {
      const quantity = Math.round(values[column] ?? 0);
      if (quantity > 0) basket.purchases.push({ offer, quantity });
    }
    // Each piece once: what a pattern has too many of is left off.
    const left = wood.types.map(({ pieces }) => [...pieces]);
    for (const [index, count] of times) {
      const pattern = solver.patterns[index];
      const stock = wood.stocks[pattern?.stock ?? -1];
      for (let board = 0; pattern && stock && board < count; board++) cut(pattern, stock, left);
    }
  }
  return basket;

  function cut({ counts, cutting }: Pattern, stock: Stock, left: Item[][]): void {
    if (cutting) {
      const dealt = deal(cutting, left);
      if (dealt) basket.panels.push({ stock, cutting: dealt });
      return;
    }
    const parts = counts.flatMap(([type, pieces]) => left[type]?.splice(0, pieces) ?? []);
    if (parts.length === 0) return;
    const pieces = parts.map((part) => boardPiece(part, input.settings));
    basket.boards.push(filledWith(stock, pieces));
  }
};

/** A cutting with the pieces that are still wanted; null where none is. */
const deal = (cutting: Cutting, left: Item[][]): Cutting | null => {
  if (isLeaf(cutting)) {
    const part = left[(cutting as TypedLeaf).type]?.shift();
    return part ? { along: cutting.along, across: cutting.across, part } : null;
  }
  if (isNested(cutting)) {
    const nested = cutting.nested.map((leaf) => deal(leaf, left)).filter((leaf) => leaf !== null);
    return nested.length > 0 ? { nested: nested as Leaf[] } : null;
  }
  const parts = cutting.parts.map((part) => deal(part, left)).filter((part) => part !== null);
  return parts.length > 0 ? { axis: cutting.axis, parts } : null;
};

/** The boards of a basket that belong to a subproblem, as patterns to begin with. */
export const patternsOf = (basket: Basket, { wood: { types, stocks } }: Subproblem): Pattern[] => {
  const typeOf = new Map<Item, number>();
  types.forEach(({ pieces }, type) => pieces.forEach((part) => typeOf.set(part, type)));
  const placeOf = (stock: Stock): number =>
    stocks.findIndex(
      (own) =>
        own.kind === stock.kind &&
        own.thickness === stock.thickness &&
        own.width === stock.width &&
        own.length === stock.length &&
        own.unusable === stock.unusable &&
        own.material === stock.material,
    );
  const counted = (parts: Item[]): Pattern['counts'] => {
    const counts = new Map<number, number>();
    for (const part of parts) {
      const type = typeOf.get(part) ?? 0;
      counts.set(type, (counts.get(type) ?? 0) + 1);
    }
    return [...counts].sort(([a], [b]) => a - b);
  };
  const typedLeaf = (leaf: Leaf): TypedLeaf => ({ ...leaf, type: typeOf.get(leaf.part) ?? 0 });
  const typed = (cutting: Cutting): Cutting => {
    if (isLeaf(cutting)) return typedLeaf(cutting);
    return isNested(cutting)
      ? { nested: cutting.nested.map(typedLeaf) }
      : { ...cutting, parts: cutting.parts.map(typed) };
  };
  return [
    ...basket.boards.map(({ stock, pieces }) => ({
      stock: placeOf(stock),
      counts: counted(pieces.map(({ part }) => part)),
      cutting: null,
    })),
    ...basket.panels.map(({ stock, cutting }) => ({
      stock: placeOf(stock),
      counts: counted(leavesOf(cutting).map(({ part }) => part)),
      cutting: typed(cutting),
    })),
  ].filter(({ stock }) => stock >= 0);
};

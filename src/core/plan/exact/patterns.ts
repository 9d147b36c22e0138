import { allows } from '../../project';
import type { Pattern, PatternStock, PieceType } from './types';

/**
 * Every way to cut a stock that has no room for one piece more: any other is part of one of these, and costs the
 * same board. Null where there are more than `most`.
 */
export const fullPatterns = (stock: PatternStock, types: PieceType[], most: number): Pattern[] | null => {
  const usable = types
    .map((type, index) => ({ ...type, index }))
    .filter(({ size, materials }) => size <= stock.room && allows(materials, stock.material))
    .sort((a, b) => b.size - a.size || a.index - b.index);
  const patterns: Pattern[] = [];
  const counts: [number, number][] = [];
  let isTooMany = false;

  const isFull = (left: number): boolean =>
    usable.every(({ size, demand, index }) => size > left || (counts.find(([at]) => at === index)?.[1] ?? 0) >= demand); // prettier-ignore

  const visit = (depth: number, left: number): void => {
    if (isTooMany) return;
    const type = usable[depth];
    if (!type) {
      if (counts.length > 0 && isFull(left)) patterns.push({ stock, counts: [...counts] });
      isTooMany = patterns.length > most;
      return;
    }
    const largest = Math.min(type.demand, Math.floor(left / type.size));
    // With the smallest type there is no choice: as many as fit.
    const least = depth === usable.length - 1 ? largest : 0;
    for (let count = largest; count >= least; count--) {
      if (count > 0) counts.push([type.index, count]);
      visit(depth + 1, left - count * type.size);
      if (count > 0) counts.pop();
    }
  };
  visit(0, stock.room);
  return isTooMany ? null : patterns;
};

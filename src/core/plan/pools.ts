import type { ResolvedPart } from '../project';
import { nameKey } from '../wood';
import { bestFitDecreasing, boardPieces, cheapestYield, shrink, type FilledBoard } from './packBoards';
import { rowByRow, sheetPieces, shrinkSheets, TURNINGS, type FilledSheet } from './packSheets';
import { buyStocks, stocksOf, type Stock } from './stock';
import type { Purchases, Till } from './buying';
import { materialsFor } from './problems';
import type { PlanInput } from './input';

/** Parts of one section or sheet thickness that are made of one material, cut from the same stocks. */
export interface Pool {
  parts: ResolvedPart[];
  material: string;
}

/** A pool, packed and bought. */
export interface PackedPool {
  boards: FilledBoard[];
  sheets: FilledSheet[];
  purchases: Purchases[];
  cost: number;
  counts: Map<Stock, number>;
}

/**
 * Gives every part that is cut a material: parts that ask for the same section and materials stay together
 * and take the one in which they cost least by themselves. Then parts of one section and material are pooled.
 * Null where some cannot be made.
 */
export const choosePools = (parts: ResolvedPart[], input: PlanInput, till: Till): Pool[] | null => {
  const pools = new Map<string, Pool>();
  for (const bucket of groupBy(parts, bucketKey)) {
    const chosen = cheapestMaterial(bucket, input, till);
    // No single material makes them all: let each part find its own.
    const choices = chosen === null ? bucket.map((part) => ({ parts: [part], material: cheapestMaterial([part], input, till) })) : [{ parts: bucket, material: chosen }]; // prettier-ignore
    for (const choice of choices) {
      const first = choice.parts[0];
      if (choice.material === null || !first) return null;
      const key = `${sizeKey(first)}:${choice.material}`;
      const pool = pools.get(key) ?? { parts: [], material: choice.material };
      pool.parts.push(...choice.parts);
      pools.set(key, pool);
    }
  }
  return [...pools.values()];
};

const sizeKey = (part: ResolvedPart): string =>
  `${part.kind}:${part.thickness}:${part.kind === 'board' ? part.width : ''}`;
const bucketKey = (part: ResolvedPart): string =>
  `${sizeKey(part)}:${part.materials.map(nameKey).sort().join('|')}`;

const groupBy = <T>(list: T[], key: (entry: T) => string): T[][] => {
  const groups = new Map<string, T[]>();
  for (const entry of list) groups.set(key(entry), [...(groups.get(key(entry)) ?? []), entry]);
  return [...groups.values()];
};

const cheapestMaterial = (parts: ResolvedPart[], input: PlanInput, till: Till): string | null => {
  const first = parts[0];
  const materials = first ? materialsFor(first, input) : [];
  if (materials.length === 1 && materials[0] !== undefined) return materials[0];
  let best: { material: string; cost: number } | null = null;
  for (const material of materials) {
    const cost = packPool({ parts, material }, input, till)?.cost ?? Infinity;
    if (cost < (best?.cost ?? Infinity)) best = { material, cost };
  }
  return best?.material ?? null;
};

/** The cheapest of several ways to fill boards or sheets with a pool's parts. Null where none holds them all. */
export const packPool = (pool: Pool, input: PlanInput, till: Till): PackedPool | null => {
  const first = pool.parts[0];
  if (!first || first.kind === 'hardware') return null;
  const stocks = stocksOf(
    first.kind,
    first.thickness,
    first.kind === 'board' ? first.width : null,
    pool.material,
    input,
    till,
  );
  const ways =
    first.kind === 'board' ? boardWays(pool.parts, stocks, input) : sheetWays(pool.parts, stocks, input);
  let best: PackedPool | null = null;
  for (const { boards, sheets } of ways) {
    const counts = new Map<Stock, number>();
    for (const { stock } of [...boards, ...sheets]) counts.set(stock, (counts.get(stock) ?? 0) + 1);
    const bought = buyStocks(counts, till);
    if (bought && bought.cost < (best?.cost ?? Infinity)) best = { boards, sheets, counts, ...bought };
  }
  return best;
};

type Way = Pick<PackedPool, 'boards' | 'sheets'>;

const boardWays = (parts: ResolvedPart[], stocks: Stock[], { settings }: PlanInput): Way[] => {
  const pieces = boardPieces(parts, settings);
  const ways = stocks.map((stock) => bestFitDecreasing(pieces, stock, settings));
  const mixed = cheapestYield(pieces, stocks, settings);
  return [...ways, mixed]
    .filter((boards) => boards !== null)
    .flatMap((boards) => [boards, shrink(boards, stocks, settings)])
    .map((boards) => ({ boards, sheets: [] }));
};

const sheetWays = (parts: ResolvedPart[], stocks: Stock[], { settings }: PlanInput): Way[] =>
  TURNINGS.flatMap((turning) => {
    const pieces = sheetPieces(parts, turning);
    return stocks.map((stock) => rowByRow(pieces, stock, settings));
  })
    .filter((sheets) => sheets !== null)
    .flatMap((sheets) => [sheets, shrinkSheets(sheets, stocks, settings)])
    .map((sheets) => ({ boards: [], sheets }));

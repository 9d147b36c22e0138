import { buyStocks, countStocks } from './buying';
import { groupBy } from '../../groupBy';
import {
  type Item,
  needKey,
  materialsFor,
  useOf,
  type FilledPanel,
  type CuttingProblem,
  type Stock,
  type NetPricing,
} from '../model';
import { comingHome } from './carrying';
import { bestFitDecreasing, boardPieces, cheapestYield, shrink, type FilledBoard } from './packBoards';
import { rowByRow, shrinkPanels, TURNINGS } from './packPanels';

/** Parts of one section or sheet thickness that are made of one material, cut from the same stocks. */
export interface MaterialBatch {
  parts: Item[];
  material: string;
}

/** A pool, packed. */
export interface PackedBatch {
  boards: FilledBoard[];
  panels: FilledPanel[];
  /** What it costs if nothing else is bought. */
  cost: number;
  /** Whether all of it can be brought home. */
  isHome: boolean;
}

/**
 * Gives every part that is cut a material: parts that ask for the same section and materials stay together
 * and take the one in which they cost least by themselves. Then parts of one section and material are pooled.
 * Null where some cannot be made.
 */
export const chooseBatches = (
  parts: Item[],
  input: CuttingProblem,
  stocks: Stock[],
  till: NetPricing,
): MaterialBatch[] | null => {
  const pools = new Map<string, MaterialBatch>();
  for (const bucket of groupBy(parts, needKey)) {
    const chosen = cheapestMaterial(bucket, input, stocks, till);
    // No single material makes them all: let each part find its own.
    const choices =
      chosen === null
        ? bucket.map((part) => ({ parts: [part], material: cheapestMaterial([part], input, stocks, till) }))
        : [{ parts: bucket, material: chosen }];
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

const sizeKey = (part: Item): string =>
  `${part.kind}:${part.thickness}:${part.kind === 'board' ? part.width : ''}`;

const cheapestMaterial = (
  parts: Item[],
  input: CuttingProblem,
  stocks: Stock[],
  till: NetPricing,
): string | null => {
  const first = parts[0];
  const materials = first ? materialsFor(first, input) : [];
  if (materials.length === 1 && materials[0] !== undefined) return materials[0];
  const ranked = materials
    .map((material) => ({ material, least: leastCost(parts, material, stocks, till) }))
    .sort((a, b) => a.least - b.least || (a.material < b.material ? -1 : 1));
  let best: { material: string; packed: PackedBatch } | null = null;
  for (const { material, least } of ranked) {
    // By its face alone it costs more than another does with all that is left over.
    if (best?.packed.isHome && least > best.packed.cost) break;
    const packed = packBatch({ parts, material }, input, stocks, till);
    if (packed && isBetter(packed, best?.packed ?? null)) best = { material, packed };
  }
  return best?.material ?? null;
};

/** What parts cost at the least in a material: their face at its cheapest rate. Slanted ones, and what is owned, count nothing. */
const leastCost = (
  parts: Item[],
  material: string,
  stocks: Stock[],
  { leastPerPiece }: NetPricing,
): number => {
  const [first] = parts;
  const own = stocks.filter((stock) => stock.kind === first?.kind && stock.material === material);
  if (own.some(({ ownedCount }) => ownedCount > 0)) return 0;
  const rates = own.flatMap(({ offers, length, width }) =>
    offers.map((offer) => leastPerPiece(offer) / (length * width)),
  );
  const face = parts.reduce(
    (sum, { count, length, width, shortOk, ends }) =>
      sum + (ends.shape === 'square' ? count * Math.max(0, length - shortOk) * width : 0),
    0,
  );
  return Math.min(...rates) * face * (1 - 1e-9);
};

/** The cheapest of several ways to fill boards or sheets with a pool's parts. Null where none holds them all. */
export const packBatch = (
  pool: MaterialBatch,
  input: CuttingProblem,
  all: Stock[],
  till: NetPricing,
): PackedBatch | null => {
  const [first] = pool.parts;
  if (!first || first.kind === 'hardware') return null;
  const own = all.filter(({ kind, material }) => kind === first.kind && material === pool.material);
  let best: PackedBatch | null = null;
  for (const way of [...boardWays(pool.parts, own, input), ...panelWays(pool.parts, own, input)])
    for (const { isHome, ...packed } of homeward(way, own, input)) {
      const bought = buyStocks(
        countStocks([...packed.boards, ...packed.panels].map(({ stock }) => stock)),
        till,
      );
      if (!bought) continue;
      const made = { ...packed, isHome, cost: bought.cost };
      if (isBetter(made, best)) best = made;
    }
  return best;
};

/** What can be brought home is better than what cannot; else what costs less. */
const isBetter = (packed: PackedBatch, best: PackedBatch | null): boolean =>
  !best || (packed.isHome === best.isHome ? packed.cost < best.cost : packed.isHome);

/** A way as it is, and where it cannot be brought home, one that can. */
const homeward = (way: Way, stocks: Stock[], { settings }: CuttingProblem): (Way & { isHome: boolean })[] => {
  const { filled, isHome } = comingHome(way, stocks, settings);
  return [{ ...way, isHome }, ...(filled && !isHome ? [{ ...filled, isHome: true }] : [])];
};

type Way = Pick<PackedBatch, 'boards' | 'panels'>;

const boardWays = (parts: Item[], all: Stock[], { settings }: CuttingProblem): Way[] => {
  const [first] = parts;
  const stocks = all.filter((stock) => first && useOf(first, stock, settings) === 'crosscut');
  if (stocks.length === 0) return [];
  const pieces = boardPieces(parts, settings);
  const ways = stocks.map((stock) => bestFitDecreasing(pieces, stock, settings));
  const mixed = cheapestYield(pieces, stocks, settings);
  return [...ways, mixed]
    .filter((boards) => boards !== null)
    .flatMap((boards) => [boards, shrink(boards, stocks, settings)])
    .map((boards) => ({ boards, panels: [] }));
};

/** Sheets, and boards that are ripped: of each thickness by itself. */
const panelWays = (parts: Item[], all: Stock[], { settings }: CuttingProblem): Way[] => {
  const [first] = parts;
  const stocks = all.filter((stock) => first && useOf(first, stock, settings) === 'panel');
  const turnings = first?.kind === 'sheet' ? TURNINGS : TURNINGS.slice(0, 1);
  return turnings
    .flatMap((turning) => stocks.map((stock) => rowByRow(parts, turning, stock, settings)))
    .filter((panels) => panels !== null)
    .flatMap((panels) => {
      const alike = stocks.filter(({ thickness }) => thickness === panels[0]?.stock.thickness);
      return [panels, shrinkPanels(panels, alike, settings)];
    })
    .map((panels) => ({ boards: [], panels }));
};

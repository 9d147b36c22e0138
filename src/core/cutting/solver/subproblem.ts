import { disjointSets } from '../../disjointSets';
import type { Ticks } from '../../units';
import {
  type Offer,
  type Item,
  allows,
  netPricing,
  useOf,
  waysOn,
  type CuttingProblem,
  wantedItems,
  stocksOf,
  woodKey,
  type Stock,
} from '../model';
import { nameKey } from '../../nameKey';
import { boardPiece } from '../heuristics/packBoards';
import { fitsStock, isCarriable, isMadeOf } from './carriable';
import { crosscuts } from './boardPatterns';
import { panels } from './panelPatterns';
import { newModelBuilder, type Program, type StockSupply, type TierColumn } from './modelBuilder';
import { boardSupply } from './boardSupply';
import { netUnitCost } from './netUnitCost';
import type { CuttingInstance, Pattern, PieceType, PatternGenerator } from './types';

/** Types of pieces, the stocks that serve them, and the ways to cut those. */
export type WoodInstance = CuttingInstance & { generators: PatternGenerator[] };

/**
 * A part of the purchase that shares no board and no offer with another: wood that is cut from the same stocks, or one item
 * that is only bought. What it costs at the least follows from the stores that may be used alone.
 */
export interface Subproblem {
  wood: WoodInstance;
  offers: Offer[];
  pieces: number;
  /** Its purchases as a program: the cost is what the unitCost pays, before rounding. */
  program: Program;
  tags: TierColumn[];
  supply: StockSupply[];
  kerf: Ticks;
  /** Whether a pattern fits its board, and the board can be brought home. */
  isAllowed: (pattern: Pattern) => boolean;
}

/** All subproblems of a problem. */
export const subproblemsOf = (input: CuttingProblem): Subproblem[] => [
  ...woodsOf(input).map((wood) => woodSubproblem(wood, input)),
  ...itemSubproblems(input),
];

const NO_WOOD: WoodInstance = { types: [], stocks: [], generators: [] };

const woodSubproblem = (wood: WoodInstance, input: CuttingProblem): Subproblem => {
  const builder = newModelBuilder();
  const pieces = wood.types.reduce((sum, { demand }) => sum + demand, 0);
  const supply = boardSupply(builder, wood.stocks, input, pieces, netUnitCost(input));
  const { program, tags } = builder;
  return {
    wood,
    offers: wood.stocks.flatMap(({ offers }) => offers),
    pieces,
    program,
    tags,
    supply,
    kerf: input.settings.kerf.ticks,
    isAllowed: (pattern) =>
      isMadeOf(pattern, wood, input.settings) &&
      fitsStock(pattern, wood, input.settings) &&
      isCarriable(pattern, wood, input.settings),
  };
};

const itemSubproblems = (input: CuttingProblem): Subproblem[] => {
  const unitCost = netUnitCost(input);
  return wantedItems(input).flatMap(({ pieces, offers }): Subproblem[] => {
    if (pieces <= 0) return [];
    const { program, tags, row, purchase } = newModelBuilder();
    row(
      offers.flatMap((offer) =>
        purchase(offer, pieces, (price) => unitCost(offer.storeId, price)).map((column): [number, number] => [
          column,
          offer.pack,
        ]),
      ),
      pieces,
      Infinity,
    );
    return [{ wood: NO_WOOD, offers, pieces, program, tags, supply: [], kerf: 0, isAllowed: () => true }];
  });
};

/** The wood of an input, parted where nothing is cut from the same stock. */
const woodsOf = (input: CuttingProblem): WoodInstance[] => {
  const types = typesOf(input);
  const { settings } = input;
  const stocks = stocksOf(input, netPricing(input.stores, settings));
  const uses = stocks.map((stock) => types.map(({ part }) => useOf(part, stock, settings) !== null));
  const groups = new Map<number, { types: PieceType[]; stocks: Stock[] }>();
  // Types hang together by the stocks that serve them.
  const root = disjointSets(
    uses.map((served) => served.flatMap((isServed, type) => (isServed ? [type] : []))),
  );
  types.forEach((type, index) => {
    const group = groups.get(root(index)) ?? { types: [], stocks: [] };
    group.types.push(type);
    groups.set(root(index), group);
  });
  stocks.forEach((stock, index) => {
    const first = uses[index]?.indexOf(true) ?? -1;
    if (first >= 0) groups.get(root(first))?.stocks.push(stock);
  });
  return [...groups.values()].map((cutup) => ({ ...cutup, generators: generatorsOf(cutup, input) }));
};

const typesOf = ({ parts, settings }: CuttingProblem): PieceType[] => {
  const types = new Map<string, PieceType>();
  for (const part of parts) {
    if (part.kind === 'hardware') continue;
    const { kind, thickness, width, length, ends, grain, shortOk } = part;
    const materials = [...new Set(part.materials.map(nameKey))].sort();
    const key = JSON.stringify([
      kind,
      thickness,
      width,
      length,
      ends,
      kind === 'sheet' ? grain : '',
      shortOk,
      materials,
    ]);
    const board = kind === 'board' ? boardPiece(part, settings) : null;
    const type = types.get(key) ?? { part, demand: 0, pieces: [] as Item[], board };
    type.demand += part.count;
    for (let made = 0; made < part.count; made++) type.pieces.push(part);
    types.set(key, type);
  }
  // The order of rows does not matter.
  return [...types].sort(([a], [b]) => (a < b ? -1 : 1)).map(([, type]) => type);
};

const generatorsOf = (cutup: CuttingInstance, { settings }: CuttingProblem): PatternGenerator[] => {
  const { types, stocks } = cutup;
  const uses = stocks.map((stock) => types.map(({ part }) => useOf(part, stock, settings)));
  const families = new Map<string, number[]>();
  stocks.forEach((stock, index) => {
    if (stock.kind !== 'board' || !uses[index]?.includes('crosscut')) return;
    const key = woodKey(stock);
    families.set(key, [...(families.get(key) ?? []), index]);
  });
  const crosscut = [...families.values()].map((own) => {
    const usable = types.flatMap((_, type) => (uses[own[0] ?? 0]?.[type] === 'crosscut' ? [type] : []));
    return crosscuts(own, usable, cutup, settings);
  });
  const panel = stocks.flatMap((stock, index) => {
    if (!uses[index]?.includes('panel')) return [];
    const usable = types.flatMap(({ part }, type) =>
      allows(part.materials, stock.material) && waysOn(part, stock, settings).length > 0 ? [type] : [],
    );
    return [panels(index, usable, cutup, settings)];
  });
  return [...crosscut, ...panel];
};

import type { Linear, Solver } from './highs';
import type { Program, Row, StockSupply } from './modelBuilder';
import type { WoodInstance } from './subproblem';
import type { CuttingInstance, Pattern, PatternGenerator } from './types';

/** All patterns found so far, none twice. */
export interface PatternPool {
  patterns: Pattern[];
  /** Adds those that are new. */
  add: (patterns: Pattern[]) => number;
  /** The place of a pattern that cuts the same. */
  indexOf: (pattern: Pattern) => number;
}

/** A pool that takes only patterns that are `allowed`. */
export const newPatternPool = (isAllowed: (pattern: Pattern) => boolean): PatternPool => {
  const known = new Map<string, number>();
  const patterns: Pattern[] = [];
  const keyOf = ({ stock, counts }: Pattern): string => `${stock}|${counts.join(';')}`;
  return {
    patterns,
    add: (more) => {
      const before = patterns.length;
      for (const pattern of more) {
        const key = keyOf(pattern);
        // A board that nothing is cut from is none.
        if (pattern.counts.length === 0 || known.has(key) || !isAllowed(pattern)) continue;
        known.set(key, patterns.length);
        patterns.push(pattern);
      }
      return patterns.length - before;
    },
    indexOf: (pattern) => known.get(keyOf(pattern)) ?? -1,
  };
};

/** The columns for missing pieces, first and last; null: there are none. */
export type MissingColumns = [first: number, last: number] | null;

/** A linear program over the pool: rows for every type's demand and every stock's boards, after the rows it is made with. */
export interface Master {
  linear: Linear;
  /** The first column of a pattern. */
  firstPattern: number;
  missing: MissingColumns;
  demandRow: (type: number) => number;
  supplyRow: (stock: number) => number;
  /** Takes in what the pool has got since. */
  sync: () => void;
}

/**
 * The rows that patterns have a part in: demand, then boards supplied less boards cut. `missing`: the first of the columns
 * for pieces that are missing.
 */
export const withPatternRows = (
  program: Program,
  { types, stocks }: CuttingInstance,
  supply: StockSupply[],
  missing: number | null = null,
): Program => ({
  ...program,
  rows: [
    ...program.rows,
    ...types.map(({ demand }, type): Row => ({
      lower: demand,
      upper: Infinity,
      terms: missing === null ? [] : [[missing + type, 1]],
    })),
    ...stocks.map((_, stock): Row => ({
      lower: -(supply[stock]?.owned ?? 0),
      upper: Infinity,
      terms: supply[stock]?.terms ?? [],
    })),
  ],
});

const termsOf = ({ stock, counts }: Pattern, rows: number, types: number): Row['terms'] => [
  ...counts.map(([type, count]): [number, number] => [rows + type, count]),
  [rows + types + stock, -1],
];

/** A master over the patterns of a pool; `ownRows`: the rows of the program before those of the patterns. */
export const newMaster = (
  solver: Solver,
  program: Program,
  instance: CuttingInstance,
  pool: PatternPool,
  { ownRows, missing }: { ownRows: number; missing: MissingColumns },
): Master => {
  const linear = solver.linear(program);
  let known = 0;
  return {
    linear,
    firstPattern: program.cost.length,
    missing,
    demandRow: (type) => ownRows + type,
    supplyRow: (stock) => ownRows + instance.types.length + stock,
    sync: () => {
      linear.addColumns(
        pool.patterns
          .slice(known)
          .map((pattern) => ({ cost: 0, terms: termsOf(pattern, ownRows, instance.types.length) })),
      );
      known = pool.patterns.length;
    },
  };
};

/** More often than this a pattern only makes pieces that nobody wants. */
export const mostTimes = ({ counts }: Pattern, types: CuttingInstance['types']): number =>
  Math.max(0, ...counts.map(([type, count]) => Math.ceil((types[type]?.demand ?? 0) / Math.max(1, count))));

/** The same with whole patterns: for the solver of whole-numbered programs. */
export const integerProgram = (
  program: Program,
  { types }: CuttingInstance,
  patterns: Pattern[],
  ownRows: number,
): Program => {
  const columns = program.cost.length;
  const rows = program.rows.map((row) => ({ ...row, terms: [...row.terms] }));
  patterns.forEach((pattern, index) => {
    for (const [row, value] of termsOf(pattern, ownRows, types.length))
      rows[row]?.terms.push([columns + index, value]);
  });
  return {
    cost: [...program.cost, ...patterns.map(() => 0)],
    lower: [...program.lower, ...patterns.map(() => 0)],
    upper: [...program.upper, ...patterns.map((pattern) => mostTimes(pattern, types))],
    integer: [...program.integer, ...patterns.map(() => true)],
    rows,
  };
};

/** No solution cuts all pieces without boards worth so much: sum(most x boards of the stock) >= worth. */
export interface CuttingPlane {
  stockValue: number[];
  rightHandSide: number;
}

/** What column generation came to. */
export interface ColumnGenerationResult {
  /** Null: not even in parts to be met. */
  objective: number | null;
  values: Float64Array;
  itemDuals: Float64Array;
  stockDuals: Float64Array;
  cut: CuttingPlane;
  /** No pattern is missing: the objective is that over all patterns, or a bound below it. */
  isComplete: boolean;
  /** Its duals were made smaller, and patterns between the grid and the wood may be missing. */
  isScaled?: true;
}

/** What cuts nothing off. */
const NO_CUT: CuttingPlane = { stockValue: [], rightHandSide: 0 };

/** One round of pricing: patterns with a negative reduced cost, and what no pattern of a stock is worth more than. */
const priceAll = (
  generators: PatternGenerator[],
  {
    itemDuals,
    stockDuals,
    left,
    isWhole,
  }: { itemDuals: Float64Array; stockDuals: Float64Array; left: number[]; isWhole: boolean },
  stocks: number,
  isLate: () => boolean,
): { patterns: Pattern[]; stockValue: number[]; isInterrupted: boolean } => {
  const stockValue = Array.from({ length: stocks }, () => 0);
  const patterns: Pattern[] = [];
  const offer = (pattern: Pattern): void => {
    const value = pattern.counts.reduce((sum, [type, count]) => sum + count * (itemDuals[type] ?? 0), 0);
    const asked = stockDuals[pattern.stock] ?? 0;
    if (value > asked + 1e-7 * (1 + asked)) patterns.push(pattern);
  };
  for (const generator of generators) {
    if (isLate()) return { patterns, stockValue, isInterrupted: true };
    generator.price(itemDuals, left).forEach((priced, at) => {
      const stock = generator.stocks[at] ?? 0;
      stockValue[stock] = Math.max(stockValue[stock] ?? 0, priced.bound);
      priced.patterns.forEach(offer);
    });
    if (isWhole && generator.panel) generator.fill(itemDuals, left).forEach(offer);
  }
  return { patterns, stockValue, isInterrupted: false };
};

/**
 * Column generation (Gilmore and Gomory 1961): patterns that would make the program cheaper are added until there are
 * none. `left` is how many of each type are still to be cut; `isWhole`: patterns
 * are wanted that take no more.
 */
export const generateColumns = (
  master: Master,
  pool: PatternPool,
  { types, stocks, generators }: WoodInstance,
  left: number[],
  isLate: () => boolean,
  isWhole = false,
): ColumnGenerationResult => {
  const itemDuals = new Float64Array(types.length);
  const stockDuals = new Float64Array(stocks.length);
  let cut: CuttingPlane = NO_CUT;
  for (;;) {
    master.sync();
    const solution = master.linear.solve();
    if (solution.status !== 'optimal')
      return { objective: null, values: new Float64Array(), itemDuals, stockDuals, cut, isComplete: false };
    types.forEach((_, type) => (itemDuals[type] = Math.max(0, solution.duals[master.demandRow(type)] ?? 0)));
    stocks.forEach(
      (_, stock) => (stockDuals[stock] = Math.max(0, solution.duals[master.supplyRow(stock)] ?? 0)),
    );
    const priced = priceAll(generators, { itemDuals, stockDuals, left, isWhole }, stocks.length, isLate);
    // A cut of which not all stocks were priced would cut off plans.
    cut = priced.isInterrupted
      ? NO_CUT
      : {
          stockValue: priced.stockValue,
          rightHandSide: types.reduce((sum, { demand }, type) => sum + (itemDuals[type] ?? 0) * demand, 0),
        };
    const isComplete =
      !priced.isInterrupted &&
      priced.stockValue.every((value, stock) => value <= (stockDuals[stock] ?? 0) * (1 + 1e-6) + 1e-6);
    const added = pool.add(priced.patterns);
    if (isComplete || added === 0 || isLate())
      return {
        objective: solution.objective,
        values: solution.values,
        itemDuals: Float64Array.from(itemDuals),
        stockDuals: Float64Array.from(stockDuals),
        cut,
        isComplete,
      };
  }
};

/** Duals that must be scaled by less than this say too little. */
const LEAST_SCALE = 0.97;

/**
 * Where sizes are not whole on the grid, a pattern may be worth a little more than its board by the bound of the pricing, though
 * none is found. With the item duals so much smaller that none can be, the duals are feasible: their objective is a bound, and
 * reduced costs by them hold for all patterns. Duals that are far from it are left as they are.
 */
export const madeFeasible = (root: ColumnGenerationResult, demand: number[]): ColumnGenerationResult => {
  const { objective, itemDuals, stockDuals, cut, isComplete } = root;
  if (isComplete || objective === null || cut.stockValue.length === 0) return root;
  const scale = Math.min(
    1,
    ...cut.stockValue.map((value, stock) => (value > 0 ? (stockDuals[stock] ?? 0) / value : 1)),
  );
  if (scale < LEAST_SCALE) return root;
  const lost = demand.reduce((sum, count, type) => sum + count * (itemDuals[type] ?? 0), 0) * (1 - scale);
  return {
    ...root,
    itemDuals: itemDuals.map((dual) => dual * scale),
    objective: objective - lost,
    isComplete: true,
    isScaled: true,
  };
};

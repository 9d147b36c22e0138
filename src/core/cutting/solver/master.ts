import type { Linear, Solver } from './highs';
import type { Program, Row, StockSupply } from './modelBuilder';
import type { WoodInstance } from './subproblem';
import type { CuttingInstance, Pattern } from './types';

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
        if (known.has(key) || !isAllowed(pattern)) continue;
        known.set(key, patterns.length);
        patterns.push(pattern);
      }
      return patterns.length - before;
    },
    indexOf: (pattern) => known.get(keyOf(pattern)) ?? -1,
  };
};

/** A linear program over the pool: rows for every type's demand and every stock's boards, after the rows it is made with. */
export interface Master {
  linear: Linear;
  /** The first column of a pattern. */
  firstPattern: number;
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

export const newMaster = (
  solver: Solver,
  program: Program,
  cutup: CuttingInstance,
  pool: PatternPool,
  ownRows: number,
): Master => {
  const linear = solver.linear(program);
  let known = 0;
  return {
    linear,
    firstPattern: program.cost.length,
    demandRow: (type) => ownRows + type,
    supplyRow: (stock) => ownRows + cutup.types.length + stock,
    sync: () => {
      linear.addColumns(
        pool.patterns
          .slice(known)
          .map((pattern) => ({ cost: 0, terms: termsOf(pattern, ownRows, cutup.types.length) })),
      );
      known = pool.patterns.length;
    },
  };
};

/** More often than this a pattern only makes pieces that nobody wants. */
export const mostTimes = ({ counts }: Pattern, types: CuttingInstance['types']): number =>
  Math.max(...counts.map(([type, count]) => Math.ceil((types[type]?.demand ?? 0) / Math.max(1, count))));

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

export interface ColumnGenerationResult {
  /** Null: not even in parts to be met. */
  objective: number | null;
  values: Float64Array;
  itemDuals: Float64Array;
  stockDuals: Float64Array;
  cut: CuttingPlane;
  /** No pattern is missing: the objective is that over all patterns. */
  isComplete: boolean;
}

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
  let cut: CuttingPlane = { stockValue: [], rightHandSide: 0 };
  for (;;) {
    master.sync();
    const solution = master.linear.solve();
    if (!solution)
      return { objective: null, values: new Float64Array(), itemDuals, stockDuals, cut, isComplete: false };
    types.forEach((_, type) => (itemDuals[type] = Math.max(0, solution.duals[master.demandRow(type)] ?? 0)));
    stocks.forEach(
      (_, stock) => (stockDuals[stock] = Math.max(0, solution.duals[master.supplyRow(stock)] ?? 0)),
    );
    const stockValue = stocks.map(() => 0);
    const found: Pattern[] = [];
    const offer = (pattern: Pattern): void => {
      const value = pattern.counts.reduce((sum, [type, count]) => sum + count * (itemDuals[type] ?? 0), 0);
      const asked = stockDuals[pattern.stock] ?? 0;
      if (value > asked + 1e-7 * (1 + asked)) found.push(pattern);
    };
    for (const space of generators) {
      space.price(itemDuals, left).forEach((priced, at) => {
        const stock = space.stocks[at] ?? 0;
        stockValue[stock] = Math.max(stockValue[stock] ?? 0, priced.bound);
        priced.patterns.forEach(offer);
      });
      if (isWhole && space.isParted) space.fill(itemDuals, left).forEach(offer);
    }
    cut = {
      stockValue,
      rightHandSide: types.reduce((sum, { demand }, type) => sum + (itemDuals[type] ?? 0) * demand, 0),
    };
    const isComplete = stocks.every(
      (_, stock) => (stockValue[stock] ?? 0) <= (stockDuals[stock] ?? 0) * (1 + 1e-6) + 1e-6,
    );
    const added = pool.add(found);
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

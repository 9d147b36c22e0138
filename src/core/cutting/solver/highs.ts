import type { Program, Row } from './modelBuilder';

/** What of HiGHS is used: models that are kept while they are changed. */
export interface Highs {
  createModel: (data?: object) => HighsModel;
  infinity?: number;
}

interface HighsModel {
  options: { set: (values: Record<string, boolean | number | string>) => void };
  info: { get: (name: string) => number | bigint };
  run: (callbacks?: Record<number, (event: { data: CallbackData; interrupt?: () => void }) => undefined>) => {
    modelStatus: number;
  };
  getObjectiveValue: () => number;
  getSolution: () => { colValue: Float64Array; rowDual: Float64Array };
  addCols: (columns: { cost: number[]; lower: number[]; upper: number[]; matrix: object }) => void;
  changeRowBounds: (row: number, lower: number, upper: number) => void;
  changeColBounds: (column: number, lower: number, upper: number) => void;
  dispose: () => void;
}

interface CallbackData {
  mip_primal_bound?: number;
}

const OPTIMAL = 7;
/** Costs are never below zero: what is unbounded or infeasible is infeasible. */
const INFEASIBLE = [8, 9];
const MIP_INTERRUPT = 6;

/**
 * HiGHS looks at no clock while it presolves: 11,000 columns took 2.5 s of a tenth of a second that was left. With more columns to
 * a second than this it is not asked to, and with more than that it is not begun at all.
 */
const COLUMNS_PRESOLVED = 2000;
const COLUMNS_STARTED = 50_000;

/** The best of a whole-numbered program that was found in the time, and what no solution can go below. */
export interface MipResult {
  values: Float64Array | null;
  objective: number;
  bound: number;
  isInfeasible: boolean;
}

const NOTHING_FOUND: MipResult = { values: null, objective: Infinity, bound: -Infinity, isInfeasible: false };

/** What solving a linear program came to. `failed`: the solver broke off, and nothing is known. */
export type LinearResult =
  | { status: 'optimal'; objective: number; values: Float64Array; duals: Float64Array }
  | { status: 'infeasible' }
  | { status: 'failed' };

/** A linear program whose columns and bounds may be changed between solutions. */
export interface Linear {
  solve: () => LinearResult;
  addColumns: (columns: { cost: number; terms: [row: number, value: number][] }[]) => void;
  boundRow: (row: number, lower: number, upper: number) => void;
  boundColumn: (column: number, lower: number, upper: number) => void;
  end: () => void;
}

/** What the planner needs of a solver of linear and whole-numbered programs. Nothing of it throws: what fails finds nothing. */
export interface Solver {
  linear: (program: Program) => Linear;
  /** `seconds` to stop after, `good` enough an objective to stop at once, `gap` that need not be closed. */
  mip: (program: Program, options: { seconds: number; good?: number; gap?: number }) => MipResult;
}

/** A solver made of HiGHS. */
export const solverOf = (highs: Highs): Solver => {
  const infinity = highs.infinity ?? Infinity;
  const finite = (value: number): number =>
    value === Infinity ? infinity : value === -Infinity ? -infinity : value;

  const modelOf = (program: Program, isWhole: boolean): HighsModel => {
    const model = highs.createModel({
      ...dataOf(program, finite),
      ...(isWhole ? { integrality: Int32Array.from(program.integer, (whole) => (whole ? 1 : 0)) } : {}),
    });
    model.options.set({ output_flag: false, random_seed: 1 });
    return model;
  };

  return {
    linear: (program) => keptModel(program, () => modelOf(program, false), finite),
    mip: (program, { seconds, good = -Infinity, gap = 0 }) => {
      let model: HighsModel | null = null;
      const columns = program.cost.length;
      if (columns > COLUMNS_STARTED * seconds) return NOTHING_FOUND;
      try {
        model = modelOf(program, true);
        model.options.set({
          time_limit: Math.max(0.02, seconds),
          mip_rel_gap: 0,
          mip_abs_gap: gap,
          ...(columns > COLUMNS_PRESOLVED * seconds ? { presolve: 'off' } : {}),
        });
        const { modelStatus } = model.run({
          [MIP_INTERRUPT]: ({ data, interrupt }) => {
            if ((data.mip_primal_bound ?? Infinity) <= good) interrupt?.();
            return undefined;
          },
        });
        const isInfeasible = INFEASIBLE.includes(modelStatus);
        const hasSolution = !isInfeasible && Number(model.info.get('primal_solution_status')) === 2;
        const objective = hasSolution ? model.getObjectiveValue() : Infinity;
        const bound = isInfeasible ? Infinity : Math.min(objective, Number(model.info.get('mip_dual_bound')));
        return { values: hasSolution ? model.getSolution().colValue : null, objective, bound, isInfeasible };
      } catch {
        // A solver that breaks off has found nothing and proved nothing.
        return NOTHING_FOUND;
      } finally {
        model?.dispose();
      }
    },
  };
};

type NewColumns = { cost: number; terms: [row: number, value: number][] }[];

/** Ways to solve a linear program, one after the other where the one before breaks off. */
const METHODS = [{}, { presolve: 'off' }, { solver: 'ipm' }] as const;

/**
 * A linear program that is kept while it is changed. What was changed is remembered: a model that breaks off ("excessive dual
 * values") is built anew and solved another way, and only then given up.
 */
const keptModel = (program: Program, build: () => HighsModel, finite: (value: number) => number): Linear => {
  const columns: NewColumns = [];
  const rowBounds = new Map<number, [number, number]>();
  const columnBounds = new Map<number, [number, number]>();
  let model: HighsModel | null = null;
  const current = (): HighsModel => (model ??= rebuilt());

  function rebuilt(): HighsModel {
    const made = build();
    if (columns.length > 0) made.addCols(columnData(columns, program.rows.length, finite(Infinity)));
    for (const [row, [lower, upper]] of rowBounds) made.changeRowBounds(row, finite(lower), finite(upper));
    for (const [column, [lower, upper]] of columnBounds)
      made.changeColBounds(column, finite(lower), finite(upper));
    return made;
  }

  function drop(): void {
    const broken = model;
    model = null;
    try {
      broken?.dispose();
    } catch {
      // It broke off: there may be nothing left to free.
    }
  }

  /** Does `change` to the model, which is built anew with it where it breaks off. */
  function changing(change: (made: HighsModel) => void): void {
    if (!model) return;
    try {
      change(model);
    } catch {
      drop();
    }
  }

  return {
    solve: () => {
      for (const options of METHODS) {
        try {
          const made = current();
          if (Object.keys(options).length > 0) made.options.set(options);
          const { modelStatus } = made.run();
          if (modelStatus === OPTIMAL) {
            const { colValue, rowDual } = made.getSolution();
            return {
              status: 'optimal',
              objective: made.getObjectiveValue(),
              values: colValue,
              duals: rowDual,
            };
          }
          if (INFEASIBLE.includes(modelStatus)) return { status: 'infeasible' };
        } catch {
          // The next way is tried.
        }
        drop();
      }
      return { status: 'failed' };
    },
    addColumns: (added) => {
      if (added.length === 0) return;
      columns.push(...added);
      changing((made) => made.addCols(columnData(added, program.rows.length, finite(Infinity))));
    },
    boundRow: (row, lower, upper) => {
      rowBounds.set(row, [lower, upper]);
      changing((made) => made.changeRowBounds(row, finite(lower), finite(upper)));
    },
    boundColumn: (column, lower, upper) => {
      columnBounds.set(column, [lower, upper]);
      changing((made) => made.changeColBounds(column, finite(lower), finite(upper)));
    },
    end: drop,
  };
};

const columnData = (columns: NewColumns, numRows: number, infinity: number) => {
  const starts = [0];
  const indices: number[] = [];
  const values: number[] = [];
  for (const { terms } of columns) {
    for (const [row, value] of terms) {
      indices.push(row);
      values.push(value);
    }
    starts.push(indices.length);
  }
  return {
    cost: columns.map(({ cost }) => cost),
    lower: columns.map(() => 0),
    upper: columns.map(() => infinity),
    matrix: { format: 'csc', numRows, numCols: columns.length, starts, indices, values },
  };
};

const dataOf = ({ cost, lower, upper, rows }: Program, finite: (value: number) => number) => {
  const starts = [0];
  const indices: number[] = [];
  const values: number[] = [];
  for (const { terms } of rows) {
    for (const [column, value] of merged(terms)) {
      indices.push(column);
      values.push(value);
    }
    starts.push(indices.length);
  }
  return {
    numCols: cost.length,
    numRows: rows.length,
    colCost: Float64Array.from(cost),
    colLower: Float64Array.from(lower, finite),
    colUpper: Float64Array.from(upper, finite),
    rowLower: Float64Array.from(rows, (row) => finite(row.lower)),
    rowUpper: Float64Array.from(rows, (row) => finite(row.upper)),
    matrix: { format: 'csr', numRows: rows.length, numCols: cost.length, starts, indices, values },
  };
};

const merged = (terms: Row['terms']): Map<number, number> => {
  const sums = new Map<number, number>();
  for (const [column, value] of terms) sums.set(column, (sums.get(column) ?? 0) + value);
  return sums;
};

import type { SolveProgram } from './types';

/** What of HiGHS is used: its one-shot solve of LP text. */
export interface Highs {
  solve: (
    text: string,
    options: { mip_rel_gap: number; mip_abs_gap: number; time_limit: number; random_seed?: number },
  ) => { Status: string; ObjectiveValue: number; Columns: Record<string, { Primal?: number }> };
}

/** All sums are whole coins: a plan within nine tenths of one of the bound is the cheapest. */
const WITHIN_A_COIN = 0.9;

/** A solver made of HiGHS. */
export const solverOf =
  (highs: Highs): SolveProgram =>
  (text, seconds) => {
    const solution = highs.solve(text, { mip_rel_gap: 0, mip_abs_gap: WITHIN_A_COIN, time_limit: seconds });
    const isOptimal = solution.Status === 'Optimal';
    if (!isOptimal && solution.Status !== 'Time limit reached') return null;
    if (!Number.isFinite(solution.ObjectiveValue) || Object.keys(solution.Columns).length === 0) return null;
    return { isOptimal, values: (name) => solution.Columns[name]?.Primal ?? 0 };
  };

import type { Basket } from '../assemble';
import type { PlanInput } from '../input';
import type { Answer, Answerer } from './answer';
import { basketOf, type Chosen } from './baskets';
import type { Solver } from './highs';
import type { Program, Row } from './program';
import { timesOf } from './search';
import { asTerms, tillProgram, type Mode } from './till';
import type { Pattern } from './types';

/**
 * With one set of stores and all shares known, the whole purchase as one program with rounding and thresholds at the till:
 * every pattern that can be part of a plan cheaper than `cost`, every share at its bound or more. What is found, and what
 * nothing with these stores can cost less than.
 */
export const closeAtTill = (
  mode: Mode,
  answers: Answer[],
  answerers: Answerer[],
  input: PlanInput,
  solver: Solver,
  cost: number,
  left: () => number,
): { basket: Basket | null; bound: number } => {
  const shares = answerers.map(({ share }) => share);
  const { program, tagsOf } = tillProgram(input, shares, mode);
  const least = answers.reduce((sum, { bound }) => sum + bound, 0);
  // What any one share may cost above its bound, in a plan that is a coin cheaper.
  const spare = cost - 1 + mode.rounding - mode.trips - least;
  if (spare < 0) return { basket: null, bound: cost };
  const cutoff: Row = { lower: -Infinity, upper: cost - 1 + 0.1, terms: program.cost.flatMap((value, column): [number, number][] => (value === 0 ? [] : [[column, value]])) };
  const shareRows = answerers.map(({ share, cuts }, index): Row[] => {
    const at = new Map(tagsOf(share).map(({ column, own }) => [own, column]));
    const answer = answers[index] as Answer;
    return [
      ...cuts.map((row) => ({ ...row, terms: asTerms(row.terms, at) })),
      { lower: answer.bound * (1 - 1e-9), upper: answer.bound + spare + 1e-6, terms: share.tags.map(({ column }) => [at.get(column) ?? 0, share.program.cost[column] ?? 0]) },
    ];
  });
  // In parts, and without patterns: often enough.
  const linear = solver.linear({ ...program, rows: [...program.rows, ...shareRows.flat(), cutoff] });
  const inParts = linear.solve();
  linear.end();
  if (!inParts) return { basket: null, bound: cost };
  const whole: Program = { ...program, cost: [...program.cost], lower: [...program.lower], upper: [...program.upper], whole: [...program.whole], rows: [...program.rows] };
  const placed: { first: number; patterns: Pattern[] }[] = [];
  for (const [index, answerer] of answerers.entries()) {
    const { share } = answerer;
    const answer = answers[index] as Answer;
    const at = new Map(tagsOf(share).map(({ column, own }) => [own, column]));
    const known = new Set(at.keys());
    const patterns = answerer.near(answer, answer.bound + spare);
    if (!patterns) return { basket: null, bound: 0 };
    const first = whole.cost.length;
    const { types, stocks } = share.wood;
    for (const { counts } of patterns) {
      whole.cost.push(0);
      whole.lower.push(0);
      whole.upper.push(Math.max(...counts.map(([type, count]) => Math.ceil((types[type]?.demand ?? 0) / Math.max(1, count)))));
      whole.whole.push(true);
    }
    placed.push({ first, patterns });
    const rows: Row[] = [
      ...types.map(({ demand }, type): Row => ({
        lower: demand,
        upper: Infinity,
        terms: patterns.flatMap(({ counts }, place) => counts.filter(([own]) => own === type).map(([, count]): [number, number] => [first + place, count])),
      })),
      ...stocks.map((_, stock): Row => ({
        lower: -(share.supply[stock]?.owned ?? 0),
        upper: Infinity,
        terms: [
          ...asTerms(share.supply[stock]?.terms ?? [], at),
          ...patterns.flatMap((pattern, place): [number, number][] => (pattern.stock === stock ? [[first + place, -1]] : [])),
        ],
      })),
      // Its own rows: what is only bought. Those of tiers are there already.
      ...share.program.rows.filter(({ terms }) => terms.every(([column]) => known.has(column)) && types.length === 0).map((row) => ({ ...row, terms: asTerms(row.terms, at) })),
      ...(shareRows[index] ?? []),
    ];
    whole.rows.push(...rows);
  }
  whole.rows.push(cutoff);
  const result = solver.mip(whole, { seconds: left(), gap: 0.9 });
  if (result.isInfeasible) return { basket: null, bound: cost };
  const bound = Math.ceil(result.bound - 1e-4);
  const { values } = result;
  if (!values) return { basket: null, bound };
  const chosen = answerers.map((answerer, index): Chosen => {
    const { first, patterns } = placed[index] as (typeof placed)[number];
    const own: number[] = [];
    for (const { column, own: place } of tagsOf(answerer.share)) own[place] = values[column] ?? 0;
    return { answerer: { share: answerer.share, patterns }, times: timesOf(values, first, patterns.length), values: own };
  });
  return { basket: basketOf(chosen, input), bound };
}; // prettier-ignore

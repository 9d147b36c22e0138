import type { Layout, Plan } from './plan';

/**
 * What is liked better of plans that cost the same, first to last: fewer stores, less wood bought, fewer different set-ups, fewer
 * rips (a long one before several of stubs), a longer single offcut. Smaller is better in each.
 */
export const preferenceOf = ({ stores, buys, layouts }: Plan): number[] => [
  stores.length,
  buys.reduce(
    (sum, { kind, qty, pack, length, width }) =>
      sum + (kind === 'hardware' ? 0 : qty * pack * length * (kind === 'sheet' ? width : 1)),
    0,
  ),
  new Set(layouts.flatMap(settingsOf)).size,
  layouts.reduce((sum, { cuts, count }) => sum + count * cuts.filter(({ kind }) => kind === 'rip').length, 0),
  -longestOffcut(layouts),
];

/** Whether a plan is liked better than one that costs the same. */
export const isPreferred = (plan: Plan, other: Plan): boolean => {
  const theirs = preferenceOf(other);
  const decisive = preferenceOf(plan)
    .map((value, index) => value - (theirs[index] ?? 0))
    .find((difference) => Math.abs(difference) > 1e-9);
  return (decisive ?? 0) < 0;
};

/** The longest piece that is left of a board or sheet that was cut, in ticks; 0: nothing is left. */
export const longestOffcut = (layouts: Layout[]): number =>
  Math.max(0, ...layouts.flatMap(({ offcuts }) => offcuts.map(({ length }) => length)));

/** What the saw is set to for the pieces of a layout: a stop for each length, and a fence for each width that is ripped. */
const settingsOf = ({ pieces, width }: Layout): string[] =>
  pieces.flatMap(({ outline }) => {
    const [across, along] = [1, 0].map((axis) => {
      const values = outline.map((point) => point[axis] ?? 0);
      return Math.round(Math.max(...values) - Math.min(...values));
    });
    return [`stop ${along}`, ...((across ?? 0) < Math.round(width) ? [`fence ${across}`] : [])];
  });

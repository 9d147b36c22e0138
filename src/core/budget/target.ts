import type { Minor } from '../units';
import { CATEGORIES, type Category, type Project } from '../project';

/** What all that is built must not cost more than; null: no target is set. */
export const targetOf = ({ target, budget, builds }: Project): Minor | null => {
  const sums = Object.values(budget?.byCategory ?? {});
  const sum = sums.length > 0 ? sums.reduce((total, part) => total + part, 0) : target;
  return sum === null ? null : budget?.isEach ? sum * builds : sum;
};

/** What is held back of what is still to buy for what goes wrong. */
export const reserveOf = ({ budget }: Pick<Project, 'budget'>, toBuy: Minor): Minor =>
  Math.round((budget?.reserve ?? 0) * toBuy);

/** How one category stands against its part of the target. */
export interface CategoryMoney {
  category: Category;
  target: Minor | null;
  spent: Minor;
  toBuy: Minor;
  /** What its part leaves; below zero when it is passed. Null without a target of its own. */
  left: Minor | null;
}

/** Every category that has a target or money in it, in their usual order. */
export const againstTargets = (
  { budget, builds }: Project,
  rows: { category: Category; spent: Minor; toBuy: Minor }[],
): CategoryMoney[] =>
  CATEGORIES.flatMap((category): CategoryMoney[] => {
    const row = rows.find((one) => one.category === category);
    const part = budget?.byCategory?.[category];
    if (!row && part === undefined) return [];
    const target = part === undefined ? null : part * (budget?.isEach ? builds : 1);
    const { spent, toBuy } = row ?? { spent: 0, toBuy: 0 };
    return [{ category, target, spent, toBuy, left: target === null ? null : target - spent - toBuy }];
  });

import { formatMoney } from '@/core/units';
import { proofTerms, shownPlan, type Plan } from '@/core/plan';
import { things } from '@/forms/words';

/** The verdict on a plan, as it is stamped. */
export const verdictOf = (plan: Plan): string =>
  shownPlan(plan)?.status !== 'proved'
    ? 'not proved'
    : plan.problems.length > 0
      ? 'proved for the rest'
      : 'proved cheapest';

/** How far the plan is to be trusted, in money. */
export const proofWords = (plan: Plan, unpriced: number, others: number): string => {
  const { status, total, lowerBound, currency } = plan;
  const left = leftOutWords(unpriced, others);
  if (total === 0)
    return left === ''
      ? 'All that is needed is bought.'
      : others === 0
        ? `${things(unpriced)} ${unpriced === 1 ? 'has' : 'have'} no price yet; nothing else is left to buy.`
        : `Nothing else is left to buy${left}.`;
  const terms = proofTerms(plan);
  if (status === 'proved')
    return `No way to buy and cut it costs less at these prices${terms.length > 0 ? `, among plans ${terms.join(' and ')}` : ''}${left}.`;
  if (total <= lowerBound) return `No plan can cost less${left}.`;
  return `At most ${formatMoney(total - lowerBound, currency)} above the best possible${left}.`;
};

/** What a plan is without: `, without 3 things that have no price yet`. */
const leftOutWords = (unpriced: number, others: number): string => {
  const words = [
    unpriced > 0 ? `${things(unpriced)} that ${unpriced === 1 ? 'has' : 'have'} no price yet` : '',
    others > 0 ? `${things(others)} that cannot be made yet` : '',
  ].filter(Boolean);
  return words.length > 0 ? `, without ${words.join(' and ')}` : '';
};

const DOING = {
  bound: 'Working out what it must cost at the least',
  better: 'Looking for a cheaper way to cut',
  proof: 'Looking whether any way is cheaper',
};

/** What the planner is at, and how far it has come. */
export const doingWords = ({ total, lowerBound, currency }: Plan, doing: keyof typeof DOING): string =>
  `${DOING[doing]}: ${formatMoney(total, currency)} so far, none can be below ${formatMoney(lowerBound, currency)}.`;

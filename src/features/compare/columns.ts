import { useMemo } from 'react';
import { boughtIn, outcomeOf, type BreakEven, type Outcome } from '@/core/compare';
import { isSameLack, shownPlan, type Plan } from '@/core/plan';
import { letterOf, type Alternative, type Book, type Project } from '@/core/project';
import { type PlannedProject } from '@/hooks';
import { useAlternatives, useBreakEvens } from '@/hooks/compare';

/** One column: a way to do the project, with what it comes to. */
export interface Column {
  id: string;
  name: string;
  /** A, B, C by rank of money, as on the chart. */
  letter: string;
  isChosen: boolean;
  alternative: Alternative | null;
  made: Project;
  plan: Plan | null;
  outcome: Outcome | null;
  isPlanning: boolean;
  breakEven: BreakEven | null;
  /** The column that buys and cuts just the same, and costs as much; null: none before it. */
  sameAs: Column | null;
}

/** What the choice is called among the ways. */
export const NOW = 'As it is now';

/** The choice and every alternative with its outcome, the cheapest first; those not known yet, and those that cannot be made, last. */
export const useColumns = (open: PlannedProject, alternatives: Alternative[]): Column[] => {
  const { project, book, plan: now } = open;
  const views = useAlternatives(project, book, alternatives);
  const chosen = useMemo(() => outcomeOf(project, book, now), [project, book, now]);
  const base = open.doing === null && !open.isStale ? now : null;
  const evens = useBreakEvens(
    book,
    base,
    chosen?.atTill ?? 0,
    views.filter(({ made }) => made !== project),
  );
  const columns = [
    {
      id: 'now',
      name: NOW,
      letter: '',
      isChosen: true,
      alternative: null,
      made: project,
      plan: now,
      outcome: chosen,
      isPlanning: false,
      breakEven: null,
      sameAs: null,
    },
    ...views
      // What changes nothing any more is what is chosen.
      .filter(({ made, isPlanning }) => isPlanning || made !== project)
      .map(({ alternative, made, plan, isPlanning }): Column => ({
        id: alternative.id,
        name: alternative.name,
        letter: '',
        isChosen: false,
        alternative,
        made,
        plan,
        outcome: plan && isSameLack(plan, now) ? outcomeKept(made, book, plan) : null,
        isPlanning,
        breakEven: evens[alternative.id] ?? null,
        sameAs: null,
      })),
  ];
  const rank = ({ outcome }: Column) => outcome?.atTill ?? Infinity;
  let last = -1;
  return withTwins(columns)
    .sort((a, b) => rank(a) - rank(b))
    .map((column) => ({ ...column, letter: column.sameAs ? '' : letterOf(++last) }));
};

/** Each column that comes to the same as one before it names that one: what is chosen goes before all. */
const withTwins = (columns: Column[]): Column[] => {
  const seen = new Map<string, Column>();
  return columns.map((column) => {
    const key = signatureOf(column);
    const twin = key === null ? undefined : seen.get(key);
    if (key !== null && !twin) seen.set(key, column);
    return twin ? { ...column, sameAs: twin } : column;
  });
};

/** What a column buys, of what it makes the parts and what it costs; null while it is not known. */
const signatureOf = ({ outcome, plan }: Column): string | null => {
  if (!outcome || !plan || !shownPlan(plan)) return null;
  return JSON.stringify([outcome.atTill, outcome.fit.verdict, outcome.life, boughtIn(plan)]);
};

const outcomes = new WeakMap<Plan, { made: Project; outcome: Outcome | null }>();

/** An outcome is worked out once for a plan. */
const outcomeKept = (made: Project, book: Book, plan: Plan | null): Outcome | null => {
  if (!plan) return null;
  const held = outcomes.get(plan);
  if (held?.made === made) return held.outcome;
  const outcome = outcomeOf(made, book, plan);
  outcomes.set(plan, { made, outcome });
  return outcome;
};

/** Why a column cannot be held against the others; null: it can. */
export const problemOf = ({ plan, outcome }: Column): string | null =>
  plan?.status === 'infeasible' && !outcome
    ? (plan.problems[0]?.sentence ?? 'It cannot be made at these prices.')
    : null;

/** The bars of a column, by material and then the rest, in minor units. */
export const barsOf = ({ outcome }: Column): { material: string | null; sum: number }[] => {
  if (!outcome) return [];
  const woods = outcome.byMaterial.map(({ material, paid }) => ({ material, sum: paid }));
  return [...woods, { material: null, sum: outcome.atTill - outcome.wood }].filter(({ sum }) => sum > 0);
};

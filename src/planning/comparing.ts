import { startTransition, useEffect, useMemo, useState } from 'react';
import { useQueries, useQuery, useQueryClient } from '@tanstack/react-query';
import { proxy } from 'comlink';
import { freshMaterials, type BreakEven, type Proposal, type Saving } from '@/core/compare';
import type { Minor } from '@/core/units';
import type { Plan } from '@/core/plan';
import { withChanges, type Alternative, type Book, type Project, type ProjectChange } from '@/core/project';
import { againstOf, askedOf, bestKey, fingerprint, KEPT, type Asked } from './asked';
import { inPool, warmPool } from './pool';

/** Plans come before what is told of them. */
const RANKS = { proposals: 0, plan: 1, breakEven: 2, ways: 3 };

/** One column of a comparison. */
export interface AlternativeView {
  alternative: Alternative;
  /** The project as it would be. */
  made: Project;
  /** Null: not known yet. */
  plan: Plan | null;
  isPlanning: boolean;
}

/** Other ways to do a project that its prices allow; null while they are looked for. `plan`: what is planned now. */
export const useProposals = (project: Project, book: Book, plan: Plan | null): Proposal[] | null => {
  const asked = useMemo(() => askedOf(project, book), [project, book]);
  const stores = (plan?.stores ?? []).map(({ storeId }) => storeId).join();
  const { data } = useQuery({
    queryKey: ['proposals', project.id, fingerprint(asked.input), bookKey(book), stores],
    queryFn: ({ signal }) =>
      inPool(RANKS.proposals, signal, (comparer) => comparer.proposals(project, book, plan)),
    enabled: plan !== null,
    ...KEPT,
    placeholderData: (last: Proposal[] | undefined, query) =>
      query?.queryKey[1] === project.id ? last : undefined,
  });
  return data ?? null;
};

const bookKeys = new WeakMap<Book, number>();
let lastBook = 0;
/** A number for a book: what its proposals rest on is more than the offers that are planned with. */
const bookKey = (book: Book): number => {
  const held = bookKeys.get(book) ?? ++lastBook;
  bookKeys.set(book, held);
  return held;
};

/** A full plan of every alternative, in parallel, each as soon as it is there; kept as long as nothing it follows from changes. */
export const useAlternatives = (
  project: Project,
  book: Book,
  alternatives: Alternative[],
): AlternativeView[] => {
  const asked = useAskedInTurn(project, book, alternatives);
  const plans = useQueries({
    queries: asked.map((each) => ({
      queryKey: ['alternative', project.id, fingerprint(each.input)],
      queryFn: ({ signal }: { signal: AbortSignal }) =>
        inPool(RANKS.plan, signal, (comparer) => comparer.plan(each.input, againstOf(each))),
      retry: false,
      ...KEPT,
    })),
  });
  return alternatives.map((alternative, index) => ({
    alternative,
    made: asked[index]?.project ?? project,
    plan: plans[index]?.data ?? null,
    isPlanning: plans[index]?.isError !== true && !plans[index]?.data,
  }));
};

/** What is asked for each alternative, worked out one a task: the page stays free between them. */
const useAskedInTurn = (project: Project, book: Book, alternatives: Alternative[]): Asked[] => {
  const [held, setHeld] = useState<{ of: unknown[]; asked: Asked[] }>({ of: [], asked: [] });
  const isHeld = held.of[0] === project && held.of[1] === book && held.of[2] === alternatives;
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout>;
    const asked: Asked[] = [];
    const step = () => {
      const alternative = alternatives[asked.length];
      if (!alternative) return;
      const one = askedOf(withChanges(project, alternative.changes), book);
      fingerprint(one.input);
      asked.push(one);
      // Drawn when there is time: the next may be there by then.
      startTransition(() => setHeld({ of: [project, book, alternatives], asked: [...asked] }));
      timer = setTimeout(step, 0);
    };
    timer = setTimeout(step, 0);
    return () => clearTimeout(timer);
  }, [project, book, alternatives]);
  return isHeld ? held.asked : NONE;
};
const NONE: Asked[] = [];

/** Ways to make a project cheaper, told as they are found. */
export interface WaysView {
  ways: Saving[];
  isLooking: boolean;
}

/** Looks for ways to save in the background once the plan they are measured against, `base`, is there. */
export const useWaysToSave = (project: Project, book: Book, base: Plan | null): WaysView => {
  const asked = useMemo(() => askedOf(project, book), [project, book]);
  const client = useQueryClient();
  const key = [project.id, fingerprint(asked.input), bookKey(book), base?.total];
  const soFar = ['ways so far', ...key];
  const { data, isFetching } = useQuery({
    queryKey: ['ways', ...key],
    enabled: base !== null && base.status !== 'infeasible',
    queryFn: ({ signal }) =>
      inPool(RANKS.ways, signal, (comparer) => {
        const found = new Map<string, Saving>();
        const heard = (saving: Saving): void => {
          found.set(saving.id, saving);
          client.setQueryData(soFar, [...found.values()]);
        };
        return comparer.waysToSave(project, book, base as Plan, proxy(heard));
      }),
    retry: false,
    ...KEPT,
  });
  const { data: partial } = useQuery<Saving[]>({
    queryKey: soFar,
    queryFn: () => [],
    enabled: false,
    ...KEPT,
  });
  return { ways: data ?? partial ?? [], isLooking: isFetching };
};

/** The prices at which alternatives would cost as little as what is chosen, by the alternative's id; those known so far. */
export const useBreakEvens = (
  project: Project,
  book: Book,
  base: Plan | null,
  goal: Minor,
  views: AlternativeView[],
): Record<string, BreakEven> => {
  const asked = views.flatMap(({ alternative, made, plan }) => {
    const names = plan && base ? freshMaterials(plan, base, book.materials) : [];
    return plan && names.length > 0 ? [{ id: alternative.id, made, plan, names }] : [];
  });
  const found = useQueries({
    queries: asked.map(({ made, plan, names }) => ({
      queryKey: ['break-even', project.id, fingerprint(askedOf(made, book).input), goal, names.join('|')],
      queryFn: ({ signal }: { signal: AbortSignal }) =>
        inPool(RANKS.breakEven, signal, (comparer) => comparer.breakEven(made, book, plan, goal, names)),
      retry: false,
      ...KEPT,
    })),
  });
  return Object.fromEntries(
    asked.flatMap(({ id }, index) => {
      const even = found[index]?.data;
      return even ? [[id, even] as const] : [];
    }),
  );
};

/** Keeps a proved plan of what a project is about to become, so that it is there at once. */
export const useKeepPlan = (): ((
  project: Project,
  book: Book,
  changes: ProjectChange[],
  plan: Plan,
) => void) => {
  const client = useQueryClient();
  return (project, book, changes, plan) => {
    if (plan.status === 'proved')
      client.setQueryData(bestKey(askedOf(withChanges(project, changes), book)), plan);
  };
};

/** A moment after a project is opened, a worker is made ready for what may be compared. */
const SOON = 1200;

export const useReadyToCompare = (): void => {
  useEffect(() => {
    const timer = setTimeout(warmPool, SOON);
    return () => clearTimeout(timer);
  }, []);
};

import { useEffect, useMemo, useState } from 'react';
import { useQueries, useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { wrap, type Remote } from 'comlink';
import { projectMoney, type ProjectMoney } from '@/core/budget';
import type { Minor } from '@/core/units';
import { bestOf, planCost, shownPlan, type Plan, type PreviousPlan, type Progress } from '@/core/plan';
import type { Book, Project } from '@/core/project';
import { againstOf, askedOf, bestKey, fingerprint, KEPT, type Asked } from './asked';
import type { Planner } from './plan.worker';
import { prove, type Proof } from './prove';

export * from './comparing';
export { fingerprint } from './asked';

let planner: Remote<Planner> | null = null;

/** The one worker that plans; started when it is first asked. */
const remote = (): Remote<Planner> => {
  planner ??= wrap<Planner>(new Worker(new URL('./plan.worker.ts', window.location.href)));
  return planner;
};

/** The plan of a project as it stands. */
export interface PlanView {
  /** Null before the first is there. While a newer one is made, the last is given, with `isStale`. */
  plan: Plan | null;
  isStale: boolean;
  /** What is being done to find a cheaper one; null: nothing any more. */
  doing: Progress['doing'] | null;
  /** Ends the search; the best so far stays. */
  stop: () => void;
}

const proofs = new Map<string, Proof>();

/** The plan of a project, made in workers and kept by its input: a first one at once, then better ones as they are found. */
export const usePlan = (project: Project, book: Book): PlanView => {
  const asked = useAsked(project, book);
  const client = useQueryClient();
  const print = fingerprint(asked.input);
  const { data, isPlaceholderData } = useQuery({
    ...firstQuery(asked),
    placeholderData: (last: Plan | undefined, query) =>
      query?.queryKey[1] === project.id ? last : undefined,
  });
  const isBehind = asked.project !== project || asked.book !== book;
  const isFirst = data !== undefined && !isBehind && !isPlaceholderData;
  const isOpen = isFirst && data.status === 'bounded' && data.total > 0;
  const { data: best, isFetching } = useQuery({ ...bestQuery(asked, client), enabled: isOpen });
  const { data: progress } = useQuery<Progress | null>({
    queryKey: progressKey(asked),
    queryFn: () => null,
    enabled: false,
    ...KEPT,
  });
  const better = isFirst ? (best ?? progress?.plan) : undefined;
  const plan = useMemo(() => bestOf(data ?? null, better), [data, better]);
  const isOld = isBehind || isPlaceholderData;
  useEffect(() => {
    if (!isOld && plan) lastPlans.set(project.id, lastOf(plan, asked.input));
  }, [isOld, plan, project.id, asked]);
  return {
    plan,
    isStale: isOld,
    doing: isOpen && isFetching ? (progress?.doing ?? 'bound') : null,
    stop: () => proofs.get(print)?.stop(),
  };
};

/** What was planned last of each project: what is left of it stays while it is bought. */
const lastPlans = new Map<string, PreviousPlan>();

const lastOf = (plan: Plan, { parts, settings, unit, currency, owned }: Asked['input']): PreviousPlan => ({
  plan,
  input: { parts, settings, unit, currency, owned },
});

/** The first plan of what is asked. */
const firstQuery = (asked: Asked) => ({
  queryKey: ['plan', asked.project.id, fingerprint(asked.input)],
  queryFn: () => remote().firstPlan(asked.input, againstOf(asked), lastPlans.get(asked.project.id)),
  ...KEPT,
});

const progressKey = ({ project, input }: Asked) => ['progress', project.id, fingerprint(input)];

/** The best plan of what is asked; how far it is goes beside it. */
const bestQuery = (asked: Asked, client: QueryClient) => ({
  queryKey: bestKey(asked),
  queryFn: async ({ signal }: { signal: AbortSignal }) => {
    const print = fingerprint(asked.input);
    const first = await client.ensureQueryData(firstQuery(asked));
    signal.throwIfAborted();
    const proof = prove(asked.input, againstOf(asked), first, signal, (progress) =>
      client.setQueryData(progressKey(asked), progress),
    );
    proofs.set(print, proof);
    return proof.plan.finally(() => proofs.delete(print));
  },
  ...KEPT,
  retry: false,
});

/** What is asked of the planner. A change is on screen first, and is asked right after. */
const useAsked = (project: Project, book: Book): Asked => {
  const [asked, setAsked] = useState(() => askedOf(project, book));
  const isOther = asked.project.id !== project.id;
  useEffect(() => {
    if (asked.project === project && asked.book === book) return undefined;
    return soon(() => setAsked(askedOf(project, book)));
  }, [project, book, asked]);
  return isOther ? askedOf(project, book) : asked;
};

/** Runs `work` once the screen has been drawn, all that waits in one go. Returns how to call it off. */
const soon = (work: () => void): (() => void) => {
  if (waiting.size === 0)
    requestAnimationFrame(() =>
      setTimeout(() => {
        const all = [...waiting];
        waiting.clear();
        for (const one of all) one();
      }, 0),
    );
  waiting.add(work);
  return () => waiting.delete(work);
};
const waiting = new Set<() => void>();

/** By how much all plans together get dearer when the book becomes another; null while that is worked out. */
export const usePlanDifference = (projects: Project[], book: Book, next: Book | null): Minor | null => {
  const inputs = useMemo(
    () => (next === null ? [] : projects.map((project) => [askedOf(project, book), askedOf(project, next)])),
    [projects, book, next],
  );
  const { data } = useQuery({
    queryKey: ['difference', inputs.map((pair) => pair.map(({ input }) => fingerprint(input)))],
    enabled: next !== null,
    queryFn: async () => {
      let sum = 0;
      for (const [before, after] of inputs) {
        if (!before || !after) continue;
        const now = shownPlan(await remote().firstPlan(before.input, againstOf(before)));
        const then = shownPlan(await remote().firstPlan(after.input, againstOf(after)));
        sum += (then ? planCost(then) : 0) - (now ? planCost(now) : 0);
      }
      return sum;
    },
    ...KEPT,
  });
  return data ?? null;
};

/** What buying by hand would come to: one store, one length, the longest first. Null while it is reckoned, or where no store has everything. */
export const useByHand = (project: Project, book: Book): Minor | null => {
  const { input } = useAsked(project, book);
  const { data } = useQuery({
    queryKey: ['by hand', project.id, fingerprint(input)],
    queryFn: () => remote().byHand(input),
    ...KEPT,
  });
  return data ?? null;
};

/** What so many of a project cost, built at once. */
export interface SeveralView {
  builds: number;
  /** With what was bought already; null: not known yet, or not to be made. */
  total: Minor | null;
  /** A cheaper plan could save so much; null: not known yet. */
  above: Minor | null;
  isPlanning: boolean;
}

/** Plans for several of a project at once, each as soon as it is there: what was bought for one serves them all. */
export const useSeveral = (project: Project, book: Book, counts: number[]): SeveralView[] => {
  const asked = useMemo(
    () => counts.map((builds) => askedOf({ ...project, builds }, book)),
    [project, book, counts],
  );
  const client = useQueryClient();
  const first = useQueries({ queries: asked.map(firstQuery) });
  const best = useQueries({
    queries: asked.map((each, index) => ({
      ...bestQuery(each, client),
      enabled: first[index]?.data?.status === 'bounded',
    })),
  });
  return counts.map((builds, index) => {
    const plan = bestOf(first[index]?.data ?? null, best[index]?.data);
    const isMade = plan !== null && plan.status !== 'infeasible';
    return {
      builds,
      total: isMade ? projectMoney({ ...project, builds }, book, plan).total : null,
      above: isMade && best[index]?.data ? plan.total - plan.lowerBound : null,
      isPlanning: (first[index]?.isFetching ?? false) || (best[index]?.isFetching ?? false),
    };
  });
};

/** A project's plan and its money. */
export const usePlanAndMoney = (project: Project, book: Book): PlanView & { money: ProjectMoney } => {
  const view = usePlan(project, book);
  const { plan } = view;
  const money = useMemo(() => projectMoney(project, book, plan), [project, book, plan]);
  return { ...view, money };
};

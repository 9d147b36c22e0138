import { useEffect } from 'react';
import { skipToken, useQueries, useQuery } from '@tanstack/react-query';
import { projectMoney, type ProjectMoney } from '@/core/budget';
import { bestOf, planCost, shownBeside, shownPlan, type Plan } from '@/core/plan';
import type { Book, Project } from '@/core/project';
import type { Minor } from '@/core/units';
import { planRequest, type PlanRequest } from '@/state/planRequest';
import type { PlanSnapshot } from '@/state/planSnapshot';

import { snapshotKey } from './queryBridge';
import { services } from './services';
import type { OpenProject } from './workspace';

export type { PlanSnapshot };

/** How what was worked out is kept: it follows from its key alone. */
export const DERIVED = {
  staleTime: Infinity,
  gcTime: 5 * 60 * 1000,
  networkMode: 'always',
  structuralSharing: false,
  retry: false,
} as const;

/** The last whole state of a project: project, prices, plan and money of one generation. Null before the first plan. */
export const useSnapshot = (projectId: string): PlanSnapshot | null => {
  useEffect(() => services().plans.observe(projectId), [projectId]);
  const { data } = useQuery<PlanSnapshot>({
    queryKey: snapshotKey(projectId),
    queryFn: skipToken,
    ...DERIVED,
  });
  return data ?? null;
};

/** An open project as it was planned: what stands on the screen is of one generation, what is dispatched meets the newest. */
export interface PlannedProject extends OpenProject {
  plan: Plan;
  money: ProjectMoney;
  generation: number;
  request: PlanRequest;
  /** A newer state is being planned. */
  isStale: boolean;
  doing: PlanSnapshot['doing'];
  failure: string | null;
  /** Ends the search; the best so far stays. */
  stop: () => void;
}

/** `open` at the generation that is planned; null before the first plan is there. */
export const usePlanned = (open: OpenProject): PlannedProject | null => {
  const { id } = open.project;
  const snapshot = useSnapshot(id);
  if (!snapshot) return null;
  const { project, book, plan, money, generation, phase, doing, failure } = snapshot;
  return {
    ...open,
    project,
    book,
    plan,
    money,
    generation,
    request: snapshot,
    isStale: phase !== 'current' || open.project !== project || open.book !== book,
    doing,
    failure,
    stop: () => services().plans.stop(id),
  };
};

/** What buying by hand would come to: one store, one length, the longest first. Null while it is reckoned, or where no store has everything. */
export const useByHand = (request: PlanRequest): Minor | null => {
  const { data } = useQuery({
    queryKey: ['by hand', request.key],
    queryFn: ({ signal }) => services().plans.cache.byHand(request, signal),
    ...DERIVED,
  });
  return data ?? null;
};

/** By how much all plans together get dearer when the book becomes another; null while that is worked out. */
export const usePlanDifference = (projects: Project[], book: Book, next: Book | null): Minor | null => {
  const pairs =
    next === null
      ? []
      : projects.map((project) => [planRequest(project, book), planRequest(project, next)] as const);
  const { data } = useQuery({
    queryKey: ['difference', pairs.map((pair) => pair.map(({ key }) => key))],
    enabled: next !== null,
    queryFn: async ({ signal }) => {
      let sum = 0;
      for (const [before, after] of pairs) {
        const now = shownPlan(await services().plans.cache.first(before, signal));
        const then = shownPlan(await services().plans.cache.first(after, signal));
        sum += (then ? planCost(then) : 0) - (now ? planCost(now) : 0);
      }
      return sum;
    },
    ...DERIVED,
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
export const useSeveral = ({ project, book, plan: now }: PlannedProject, counts: number[]): SeveralView[] => {
  const requests = counts.map((builds) => planRequest({ ...project, builds }, book));
  const first = useQueries({
    queries: requests.map((request) => ({
      queryKey: ['first', request.key],
      queryFn: ({ signal }: { signal: AbortSignal }) => services().plans.cache.first(request, signal),
      ...DERIVED,
    })),
  });
  const best = useQueries({
    queries: requests.map((request, index) => ({
      queryKey: ['best', request.key],
      queryFn: ({ signal }: { signal: AbortSignal }) => services().plans.cache.search(request, signal),
      enabled: shownPlan(first[index]?.data ?? null)?.status === 'bounded',
      ...DERIVED,
    })),
  });
  return counts.map((builds, index) => {
    const plan = shownBeside(bestOf(first[index]?.data ?? null, best[index]?.data), now);
    return {
      builds,
      total: plan ? projectMoney({ ...project, builds }, book, plan).total : null,
      above: plan && best[index]?.data ? plan.total - plan.lowerBound : null,
      isPlanning: (first[index]?.isFetching ?? false) || (best[index]?.isFetching ?? false),
    };
  });
};

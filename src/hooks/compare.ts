import { startTransition, useEffect, useRef, useState } from 'react';
import { useQueries, useQuery, useQueryClient } from '@tanstack/react-query';
import { proxy } from 'comlink';
import type { BreakEven, Proposal, Saving, Scenario, UnderTarget, WhatIf } from '@/core/compare';
import { freshMaterials } from '@/core/compare/freshMaterials';
import type { Minor } from '@/core/units';
import { shownPlan, type Plan } from '@/core/plan';
import { wayBack } from '@/core/project/wayBack';
import { withChanges, type Alternative, type Book, type Project, type ProjectChange } from '@/core/project';
import { planRequest, type PlanRequest } from '@/state/planRequest';
import { DERIVED } from './plans';
import { newId, notify, today } from '@/data';
import type { Planner } from '@/workers/planner.worker';
import { services } from './services';
import type { OpenProject } from './workspace';

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

const bookKeys = new WeakMap<Book, number>();
let lastBook = 0;
/** A number for a book: what its proposals rest on is more than the offers that are planned with. */
const bookKey = (book: Book): number => {
  const held = bookKeys.get(book) ?? ++lastBook;
  bookKeys.set(book, held);
  return held;
};

/** Other ways to do a project that its prices allow; null while they are looked for. `plan`: what is planned now. */
export const useProposals = (request: PlanRequest, plan: Plan): Proposal[] | null => {
  const { project, book, key } = request;
  const stores = plan.stores.map(({ storeId }) => storeId).join();
  const { data } = useQuery({
    queryKey: ['proposals', project.id, key, bookKey(book), stores],
    queryFn: ({ signal }) =>
      services().pool.run('long', RANKS.proposals, signal, (planner) =>
        planner.proposals(project, book, plan),
      ),
    ...DERIVED,
    placeholderData: (last: Proposal[] | undefined, query) =>
      query?.queryKey[1] === project.id ? last : undefined,
  });
  return data ?? null;
};

/** A full plan of every alternative, in parallel, each as soon as it is there; kept as long as nothing it follows from changes. */
export const useAlternatives = (
  project: Project,
  book: Book,
  alternatives: Alternative[],
): AlternativeView[] => {
  const requestOf = useRequestsInTurn(project, book, alternatives);
  const requests = alternatives.flatMap(({ changes }) => requestOf.get(changes) ?? []);
  const plans = useQueries({
    queries: requests.map((request) => ({
      queryKey: ['alternative', request.key],
      queryFn: ({ signal }: { signal: AbortSignal }) =>
        services().plans.cache.compare(request, RANKS.plan, signal),
      ...DERIVED,
    })),
  });
  const planOf = new Map(requests.map((request, index) => [request, plans[index]]));
  return alternatives.map((alternative) => {
    const request = requestOf.get(alternative.changes);
    const found = request && planOf.get(request);
    return {
      alternative,
      made: request?.project ?? project,
      plan: found?.data ?? null,
      isPlanning: found?.isError !== true && !found?.data,
    };
  });
};

/** What is asked for each alternative of a project and a book, by its changes: another name asks for nothing new. */
interface Requests {
  project: Project | null;
  book: Book | null;
  of: ReadonlyMap<ProjectChange[], PlanRequest>;
}
const NONE: Requests = { project: null, book: null, of: new Map() };

/** What is asked for each alternative, worked out one a task: the page stays free between them. */
const useRequestsInTurn = (project: Project, book: Book, alternatives: Alternative[]): Requests['of'] => {
  const [held, setHeld] = useState(NONE);
  const made = useRef(NONE);
  useEffect(() => {
    const isSame = made.current.project === project && made.current.book === book;
    const requests = new Map(isSame ? made.current.of : NONE.of);
    made.current = { project, book, of: requests };
    let timer: ReturnType<typeof setTimeout>;
    const step = () => {
      const next = alternatives.find(({ changes }) => !requests.has(changes));
      if (!next) return;
      requests.set(next.changes, planRequest(withChanges(project, next.changes), book));
      // Drawn when there is time: the next may be there by then.
      startTransition(() => setHeld({ project, book, of: new Map(requests) }));
      timer = setTimeout(step, 0);
    };
    timer = setTimeout(step, 0);
    return () => clearTimeout(timer);
  }, [project, book, alternatives]);
  return held.project === project && held.book === book ? held.of : NONE.of;
};

/** Ways to make a project cheaper, told as they are found. */
export interface WaysView {
  ways: Saving[];
  isLooking: boolean;
}

/** What a worker works out for a while: its answer once it is there, until then what it has told of. */
const useTold = <T>(
  key: unknown[],
  isAsked: boolean,
  ask: (planner: Planner, tell: (soFar: T) => void) => Promise<T>,
): { known: T | null; isLooking: boolean } => {
  const client = useQueryClient();
  const soFar = ['so far', ...key];
  const { data, isFetching } = useQuery({
    queryKey: key,
    enabled: isAsked,
    queryFn: ({ signal }) =>
      services().pool.run('long', RANKS.ways, signal, (planner) =>
        ask(planner, (known) => void client.setQueryData(soFar, known)),
      ),
    ...DERIVED,
  });
  const { data: partial } = useQuery<T | null>({
    queryKey: soFar,
    queryFn: () => null,
    enabled: false,
    ...DERIVED,
  });
  return { known: data ?? partial ?? null, isLooking: isFetching };
};

/** Looks for ways to save in the background once the plan they are measured against, `base`, is there. */
export const useWaysToSave = ({ project, book, key }: PlanRequest, base: Plan | null): WaysView => {
  const { known, isLooking } = useTold<Saving[]>(
    ['ways', key, bookKey(book), base?.total],
    shownPlan(base) !== null,
    (planner, tell) => {
      const found = new Map<string, Saving>();
      const heard = (saving: Saving): void => {
        found.set(saving.id, saving);
        tell([...found.values()]);
      };
      return planner.waysToSave(project, book, base as Plan, proxy(heard));
    },
  );
  return { ways: known ?? [], isLooking };
};

/** How the target can be reached with the ways to save that were found; null where it is kept, or while nothing is known. */
export const useUnderTarget = (
  { project, book, key }: PlanRequest,
  base: Plan | null,
  { ways, isLooking }: WaysView,
): { found: UnderTarget | null; isLooking: boolean } => {
  const target = JSON.stringify([project.target, project.budget]);
  const { known, isLooking: isCombining } = useTold<UnderTarget | null>(
    ['under target', key, target, bookKey(book), base?.total, ways.map(({ id }) => id).join('|')],
    shownPlan(base) !== null && !isLooking && ways.length > 0,
    (planner, tell) => planner.underTarget(project, book, base as Plan, ways, proxy(tell)),
  );
  return { found: known, isLooking: isLooking || isCombining };
};

/** The prices at which alternatives would cost as little as what is chosen, by the alternative's id; those known so far. */
export const useBreakEvens = (
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
      queryKey: ['break-even', planRequest(made, book).key, goal, names.join('|')],
      queryFn: ({ signal }: { signal: AbortSignal }) =>
        services().pool.run('long', RANKS.breakEven, signal, (planner) =>
          planner.breakEven(made, book, plan, goal, names),
        ),
      ...DERIVED,
    })),
  });
  return Object.fromEntries(
    asked.flatMap(({ id }, index) => {
      const even = found[index]?.data;
      return even ? [[id, even] as const] : [];
    }),
  );
};

/** What a project comes to if a scenario holds: as planned anew; null: it cannot be told, undefined: not yet. */
export const useWhatIfs = (
  { project, book, key }: PlanRequest,
  base: Plan | null,
  scenarios: Scenario[],
): (WhatIf | null | undefined)[] =>
  useQueries({
    queries: scenarios.map((scenario) => ({
      queryKey: ['what if', key, bookKey(book), base?.total, JSON.stringify(scenario)],
      enabled: shownPlan(base) !== null,
      queryFn: ({ signal }: { signal: AbortSignal }) =>
        services().pool.run('long', RANKS.ways, signal, (planner) =>
          planner.whatIf(scenario, project, book, base as Plan),
        ),
      ...DERIVED,
    })),
  }).map(({ data }) => data);

/** Keeps a proved plan of what a project is about to become, so that it is there at once. */
const keepPlan = (project: Project, book: Book, changes: ProjectChange[], plan: Plan): void =>
  services().plans.cache.keep(planRequest(withChanges(project, changes), book), plan);

/** What is kept has no longer names than these. */
export const MAX_NAME = 200;

/** A way to do a project that is taken. */
interface TakenWay {
  name: string;
  changes: ProjectChange[];
  /** Null: not known. */
  plan: Plan | null;
  /** What the whole comes to before and with it; absent: not known. */
  sums?: { before: Minor; after: Minor };
}

/**
 * Takes a way to do a project as one step, which one touch takes back: the plan that is known of it stands at once, and what was decided
 * is kept, with the way back.
 */
export const takeWay = (
  { project, book, dispatch, undo }: Pick<OpenProject, 'project' | 'book' | 'dispatch' | 'undo'>,
  { name: given, changes, plan, sums }: TakenWay,
  text: string,
): void => {
  if (plan) keepPlan(project, book, changes, plan);
  const name = given.slice(0, MAX_NAME);
  const { before = null, after = null } = sums ?? {};
  const decision = { id: newId(), name, day: today(), before, after, back: wayBack(project, changes) };
  dispatch({ type: 'choose', name, changes, decision });
  notify({ text, action: { label: 'Undo', run: undo } });
};

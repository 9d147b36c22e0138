import { projectMoney } from '@/core/budget';
import { bestOf, refusedPlan, shownPlan, type Plan, type PreviousPlan, type Progress } from '@/core/plan';
import type { Planner } from '@/workers/planner.worker';
import { PlanCache, RANK, type FoundPlan } from './planCache';
import { againstOf, planRequest, type PlanRequest } from './planRequest';
import type { KeptPlan, PlanSnapshot, PlanSource, PlanStorage } from './planSnapshot';
import type { WorkerPool } from './workerPool';
import type { Clock } from './writeQueue';

interface Options {
  source: PlanSource;
  pool: WorkerPool<Planner>;
  storage: PlanStorage;
  clock: Clock;
  /** Runs work once what changed is on screen. */
  afterPaint: (work: () => void) => void;
  /** Wraps a callback so that a worker can call it. */
  proxy: <T extends object>(callback: T) => T;
}

/** What is being planned for a project that is looked at. */
interface Watched {
  observers: number;
  snapshot: PlanSnapshot | null;
  generation: number;
  /** The last plan that is a start for the next, and what it followed from; null: none yet. */
  previous: PreviousPlan | null;
  kept: Promise<KeptPlan | null>;
  /** Calls off the first plan that is asked for now. */
  asked: AbortController | null;
  isDirty: boolean;
  search: AbortController | null;
  cancelSearch: (() => void) | null;
  cancelWrite: (() => void) | null;
}

/** A change is often followed by another: the search starts when it has been still for so long, in ms. */
const DEBOUNCE = 500;
/** What nobody looks at is planned on for so long, in ms. */
const GRACE = 2_000;
/** A plan that is shown is written behind it, in ms. */
const WRITE_DELAY = 300;

/**
 * Plans projects as they change: `observe` one, and `snapshot` is always of one generation. What a plan follows from is its
 * key and the previous plan, both in sight; one cache serves planning and comparing.
 */
export class PlanService {
  private readonly watched = new Map<string, Watched>();
  /** What single requests came to, here and where ways are compared. */
  readonly cache: PlanCache;
  private readonly listeners = new Set<(projectId: string, snapshot: PlanSnapshot) => void>();

  constructor(private readonly options: Options) {
    this.cache = new PlanCache(options.pool, options.proxy);
    options.source.subscribe(({ projectIds, book }) => {
      for (const id of book ? this.watched.keys() : projectIds) this.refreshSoon(id);
    });
  }

  /** Has a project planned as long as someone looks. Returns how to stop looking. */
  observe(projectId: string): () => void {
    const watched = this.watched.get(projectId) ?? this.watch(projectId);
    watched.observers++;
    this.refreshSoon(projectId);
    return () => {
      watched.observers--;
      this.options.clock.after(GRACE, () => {
        if (watched.observers === 0) this.stopSearch(watched);
      });
    };
  }

  /** The last whole state of a project; null before the first plan is there. */
  snapshot(projectId: string): PlanSnapshot | null {
    return this.watched.get(projectId)?.snapshot ?? null;
  }

  /** Calls `listener` with every new snapshot. Returns how to stop. */
  subscribe(listener: (projectId: string, snapshot: PlanSnapshot) => void): () => void {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }

  /** Ends the search of a project; the best so far stays, and is not looked for again. */
  stop(projectId: string): void {
    const watched = this.watched.get(projectId);
    const snapshot = watched?.snapshot;
    if (!watched || !snapshot || snapshot.doing === null) return;
    this.stopSearch(watched);
    this.finish(projectId, watched, snapshot, snapshot.plan, null);
  }

  private watch(projectId: string): Watched {
    const watched: Watched = {
      observers: 0,
      snapshot: null,
      generation: 0,
      previous: null,
      kept: this.options.storage.read(projectId).catch(() => null),
      asked: null,
      isDirty: false,
      search: null,
      cancelSearch: null,
      cancelWrite: null,
    };
    this.watched.set(projectId, watched);
    return watched;
  }

  private refreshSoon(projectId: string): void {
    const watched = this.watched.get(projectId);
    if (!watched || watched.isDirty) return;
    watched.isDirty = true;
    this.options.afterPaint(() => {
      watched.isDirty = false;
      this.refresh(projectId, watched);
    });
  }

  private refresh(projectId: string, watched: Watched): void {
    const current = this.options.source.current(projectId);
    if (!current) return;
    const { snapshot } = watched;
    const { project, book } = current;
    const isShown = snapshot?.project === project && snapshot.book === book;
    if (isShown && snapshot.phase === 'current') {
      this.searchSoon(projectId, watched);
      return;
    }
    const request = planRequest(project, book);
    if (snapshot?.key === request.key) {
      watched.asked?.abort();
      watched.asked = null;
      const money = projectMoney(project, book, snapshot.plan);
      this.show(projectId, watched, { ...snapshot, ...request, money, phase: 'current' });
      return;
    }
    this.stopSearch(watched);
    void this.plan(projectId, watched, request);
  }

  private async plan(projectId: string, watched: Watched, request: PlanRequest): Promise<void> {
    watched.asked?.abort();
    const abort = new AbortController();
    watched.asked = abort;
    if (watched.snapshot)
      this.tell(projectId, watched, { ...watched.snapshot, phase: 'planning', doing: null });
    try {
      const { plan, isSearched } = await this.firstOf(watched, request, abort.signal);
      if (abort.signal.aborted) return;
      watched.asked = null;
      this.cache.set(request.key, { plan, isSearched });
      const money = projectMoney(request.project, request.book, plan);
      this.show(projectId, watched, {
        ...request,
        plan,
        money,
        phase: 'current',
        doing: null,
        failure: null,
      });
    } catch (error) {
      if (abort.signal.aborted) return;
      watched.asked = null;
      this.fail(projectId, watched, request, error);
    }
  }

  private async firstOf(watched: Watched, request: PlanRequest, signal: AbortSignal): Promise<FoundPlan> {
    const { input, key } = request;
    const held = this.cache.get(key);
    if (held) return held;
    const kept = await watched.kept;
    if (kept) watched.previous ??= { plan: kept.plan, input: kept.input };
    const own = kept?.key === key ? kept : null;
    const plan = await this.options.pool.run('quick', RANK.first, signal, (planner) =>
      planner.firstPlan(input, againstOf(request), watched.previous, own?.plan ?? null),
    );
    const isOwn = own !== null && plan.total === own.plan.total && plan.status === own.plan.status;
    const shown = shownPlan(plan);
    const isOver = shown?.status !== 'bounded' || shown.total === 0;
    return { plan, isSearched: isOver || (isOwn && own.isSearched) };
  }

  private searchSoon(projectId: string, watched: Watched): void {
    const { snapshot } = watched;
    const isOpen =
      snapshot?.phase === 'current' && snapshot.failure === null && !this.cache.get(snapshot.key)?.isSearched;
    if (!snapshot || !isOpen || watched.search || watched.cancelSearch || watched.observers === 0) return;
    if (snapshot.doing === null) this.tell(projectId, watched, { ...snapshot, doing: 'bound' });
    watched.cancelSearch = this.options.clock.after(DEBOUNCE, () => {
      watched.cancelSearch = null;
      void this.searchShown(projectId, watched, snapshot);
    });
  }

  private async searchShown(projectId: string, watched: Watched, request: PlanRequest): Promise<void> {
    const search = new AbortController();
    watched.search = search;
    const isOver = () => watched.search !== search || watched.snapshot?.key !== request.key;
    const heard = ({ plan, doing }: Progress): void => {
      const { snapshot } = watched;
      if (isOver() || !snapshot) return;
      this.better(projectId, watched, { ...snapshot, doing }, plan);
    };
    try {
      const plan = await this.options.pool.run('long', RANK.search, search.signal, (planner) =>
        planner.search(request.input, againstOf(request), this.options.proxy(heard)),
      );
      if (isOver() || !watched.snapshot) return;
      watched.search = null;
      this.finish(projectId, watched, watched.snapshot, plan, null);
    } catch (error) {
      if (isOver() || search.signal.aborted || !watched.snapshot) return;
      watched.search = null;
      const failure = `The search for a cheaper plan broke off (${(error as Error).message}). The plan shown was checked.`;
      this.finish(projectId, watched, watched.snapshot, watched.snapshot.plan, failure);
    }
  }

  /** Shows the better of what is shown and what was found. */
  private better(projectId: string, watched: Watched, snapshot: PlanSnapshot, found: Plan): PlanSnapshot {
    const plan = bestOf(snapshot.plan, found) ?? snapshot.plan;
    const money =
      plan === snapshot.plan ? snapshot.money : projectMoney(snapshot.project, snapshot.book, plan);
    const next = { ...snapshot, plan, money };
    this.cache.set(snapshot.key, { plan, isSearched: false });
    this.tell(projectId, watched, next);
    return next;
  }

  private finish(
    projectId: string,
    watched: Watched,
    snapshot: PlanSnapshot,
    found: Plan,
    failure: string | null,
  ): void {
    const done = this.better(projectId, watched, { ...snapshot, doing: null, failure }, found);
    // What broke off is looked for again after a reload.
    this.cache.set(done.key, { plan: done.plan, isSearched: true });
    this.remember(projectId, watched, done, done.plan, failure === null);
  }

  private remember(
    projectId: string,
    watched: Watched,
    { input, key }: PlanRequest,
    plan: Plan,
    isSearched: boolean,
  ): void {
    watched.previous = previousOf(plan, input);
    const kept = { key, ...watched.previous, isSearched };
    watched.cancelWrite?.();
    watched.cancelWrite = this.options.clock.after(WRITE_DELAY, () => {
      void this.options.storage.write(projectId, kept).catch(() => undefined);
    });
  }

  private show(projectId: string, watched: Watched, snapshot: Omit<PlanSnapshot, 'generation'>): void {
    const generation = ++watched.generation;
    this.tell(projectId, watched, { ...snapshot, generation });
    const isSearched = this.cache.get(snapshot.key)?.isSearched ?? false;
    this.remember(projectId, watched, snapshot, snapshot.plan, isSearched);
    this.searchSoon(projectId, watched);
  }

  /** Nothing could be planned: what was shown stays, and says so. */
  private fail(projectId: string, watched: Watched, request: PlanRequest, error: unknown): void {
    const sentence = `The plan could not be made (${(error as Error).message}). Change something to try again.`;
    const { snapshot } = watched;
    if (snapshot)
      return this.tell(projectId, watched, {
        ...snapshot,
        phase: 'failed',
        doing: null,
        failure: sentence,
      });
    const plan = refusedPlan(request.input.currency, sentence);
    const money = projectMoney(request.project, request.book, plan);
    const shown = { ...request, plan, money, phase: 'failed' as const, doing: null, failure: sentence };
    this.tell(projectId, watched, { ...shown, generation: ++watched.generation });
  }

  private stopSearch(watched: Watched): void {
    watched.cancelSearch?.();
    watched.cancelSearch = null;
    watched.search?.abort();
    watched.search = null;
  }

  private tell(projectId: string, watched: Watched, snapshot: PlanSnapshot): void {
    watched.snapshot = snapshot;
    for (const listener of this.listeners) listener(projectId, snapshot);
  }
}

const previousOf = (
  plan: Plan,
  { parts, settings, unit, currency, owned, whole }: PlanRequest['input'],
): PreviousPlan => ({
  plan,
  input: { parts, settings, unit, currency, owned, ...(whole ? { whole } : {}) },
});

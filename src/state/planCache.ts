import type { Plan } from '@/core/plan';
import type { Planner } from '@/workers/planner.worker';
import { againstOf, type PlanRequest } from './planRequest';
import { RecentMap } from './recentMap';
import type { WorkerPool } from './workerPool';

/** A plan, and whether the search for a better one has ended. */
export interface FoundPlan {
  plan: Plan;
  isSearched: boolean;
}

/** Plans kept in memory. */
const MAX_CACHED = 200;
/** What is asked of the workers first: what is on screen, then what is compared. */
export const RANK = { first: 0, byHand: 1, search: 1, several: 4 };

/** The plans of requests, each asked of a worker once: one cache for planning and comparing. */
export class PlanCache {
  private readonly held = new RecentMap<string, FoundPlan>(MAX_CACHED);

  /** `proxy` wraps a callback so that a worker can call it. */
  constructor(
    private readonly pool: WorkerPool<Planner>,
    private readonly proxy: <T extends object>(callback: T) => T,
  ) {}

  /** What is known of a key of `planRequest`. */
  get(key: string): FoundPlan | undefined {
    return this.held.get(key);
  }

  set(key: string, found: FoundPlan): void {
    this.held.set(key, found);
  }

  /** The plan of one way to do a project, from the cache where it was searched for before. Rejects where it fails its check. */
  async compare(request: PlanRequest, rank: number, signal: AbortSignal): Promise<Plan> {
    const held = this.held.get(request.key);
    if (held?.isSearched) return held.plan;
    const plan = await this.pool.run('long', rank, signal, (planner) =>
      planner.compare(request.input, againstOf(request)),
    );
    this.held.set(request.key, { plan, isSearched: plan.status === 'proved' });
    return plan;
  }

  /** A plan at once, checked, from the cache where there is one. */
  async first(request: PlanRequest, signal: AbortSignal): Promise<Plan> {
    const held = this.held.get(request.key);
    return (
      held?.plan ??
      this.pool.run('quick', RANK.first, signal, (planner) =>
        planner.firstPlan(request.input, againstOf(request), null, null),
      )
    );
  }

  /** The best plan of a request, from the cache where it was searched for before; it waits for the searches of what is open. */
  async search(request: PlanRequest, signal: AbortSignal): Promise<Plan> {
    const held = this.held.get(request.key);
    if (held?.isSearched) return held.plan;
    const plan = await this.pool.run('long', RANK.several, signal, (planner) =>
      planner.search(
        request.input,
        againstOf(request),
        this.proxy(() => undefined),
      ),
    );
    this.held.set(request.key, { plan, isSearched: true });
    return plan;
  }

  /** What buying by hand would come to; null where no store has everything. */
  byHand({ input }: PlanRequest, signal: AbortSignal): Promise<number | null> {
    return this.pool.run('quick', RANK.byHand, signal, (planner) => planner.byHand(input));
  }

  /** Puts in what is known of a request, so that it is there at once when it is asked for. */
  keep(request: PlanRequest, plan: Plan): void {
    if (plan.status === 'proved') this.held.set(request.key, { plan, isSearched: true });
  }
}

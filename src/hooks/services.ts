import { QueryClient } from '@tanstack/react-query';
import { proxy, wrap } from 'comlink';
import { bookFor } from '@/core/project';
import { addToNotice, newId, notify, outdateNotice, readKeptPlan, tellStanding, writeKeptPlan } from '@/data';
import { askBeforeLeaving, pagePath } from '@/platform/page';
import { askToStay, shortTexts } from '@/platform/room';
import { livingTabs, stayAlive } from '@/platform/tabs';
import { coreCount, startPlanner } from '@/platform/workers';
import { browserStorage } from '@/state/browserStorage';
import { Journal } from '@/state/journal';
import { PlanService } from '@/state/planService';
import type { KeptPlan, PlanSource } from '@/state/planSnapshot';
import { MovedElsewhere } from '@/state/movedElsewhere';
import { WorkerPool, type PooledWorker } from '@/state/workerPool';
import { wallClock } from '@/state/writeQueue';
import { WorkspaceStore, type WorkspaceEvent } from '@/state/workspaceStore';
import type { Planner } from '@/workers/planner.worker';
import { afterPaint } from './afterPaint';
import { feedQueries } from './queryBridge';

/** The services of this tab. */
export interface Services {
  client: QueryClient;
  workspace: WorkspaceStore;
  plans: PlanService;
  pool: WorkerPool<Planner>;
}

let made: Services | null = null;

/** The services of this page, made when they are first asked for. They own the truth; the query cache is fed by them. */
export const services = (): Services => {
  made ??= makeServices();
  return made;
};

const makeServices = (): Services => {
  const client = new QueryClient();
  const tabId = newId();
  stayAlive(tabId);
  const workspace = new WorkspaceStore({
    storage: browserStorage(),
    journal: new Journal(shortTexts, tabId, Date.now()),
    livingTabs,
    clock: wallClock,
    newId,
  });
  const pool = new WorkerPool<Planner>({ spawn, size: { quick: 1, long: longWorkers() } });
  const plans = new PlanService({
    source: sourceOf(workspace),
    pool,
    storage: { read: async (id) => (await readKeptPlan(id)) as KeptPlan | null, write: writeKeptPlan },
    clock: wallClock,
    afterPaint,
    proxy,
  });
  feedQueries(client, workspace, plans);
  workspace.subscribe(tellUser);
  askBeforeLeaving(() => workspace.isAtRisk);
  void askToStay();
  tellOfOthers(workspace, plans);
  return { client, workspace, plans, pool };
};

/** A shared price moves projects that are not on screen: then they are named, with a way back. */
const tellOfOthers = (workspace: WorkspaceStore, plans: PlanService): void => {
  const elsewhere = new MovedElsewhere({
    state: () => workspace.state,
    clock: wallClock,
    openId: openProjectId,
    search: (request, signal) => plans.cache.search(request, signal),
    tell: (text) =>
      addToNotice(text, {
        label: 'Undo',
        run: () => workspace.step(openProjectId(), 'undo'),
      }),
  });
  workspace.subscribe((event) => {
    if (event.kind === 'changed' && event.book) elsewhere.changed();
  });
};

/** The project on screen; null: none. */
const openProjectId = (): string | null => /^\/project\/([^/]+)\//.exec(pagePath())?.[1] ?? null;

const MAX_WORKERS = 4;
/** One core is left to the page. */
const longWorkers = (): number => Math.max(1, Math.min(MAX_WORKERS, coreCount() - 1));

const spawn = (): PooledWorker<Planner> => {
  const worker = startPlanner();
  return {
    api: wrap<Planner>(worker) as unknown as Planner,
    terminate: () => worker.terminate(),
    onCrash: (listener) =>
      worker.addEventListener(
        'error',
        (event) => listener(new Error(event.message || 'a worker broke down')),
        {
          once: true,
        },
      ),
  };
};

const sourceOf = (workspace: WorkspaceStore): PlanSource => ({
  current: (projectId) => {
    const { state } = workspace;
    const record = state?.records[projectId];
    return state && record
      ? { project: record.project, book: bookFor(record.project, state.book.book) }
      : null;
  },
  subscribe: (listener) =>
    workspace.subscribe((event) => {
      if (event.kind === 'changed') listener(event);
    }),
});

/** What the user hears of: a change that is not kept, and what another tab did. */
const tellUser = (event: WorkspaceEvent): void => {
  switch (event.kind) {
    case 'changed':
      return outdateNotice();
    case 'notKept':
      return tellStanding(
        'The browser has no room left for Billet, so the last change is not kept yet. Save the project to a file, or delete one; it is tried again.',
      );
    case 'bookSetAside':
      return notify({
        text: 'The price book could not be read, so there are no prices now. What was kept lies aside, untouched: see Settings. Projects keep the prices of their files: open one to have them back.',
      });
    case 'unreadable':
      return notify({
        text: `${event.name} was written by another tab in a form that cannot be read here. It is left as it is: reload the page to try again.`,
      });
    case 'lookingOnly':
      return notify({
        text: `${event.name} was written by a newer Billet: here it can be looked at, not changed. Reload the page to get the new one.`,
      });
    case 'slow':
      return tellStanding('The last change is not kept yet: the browser is slow. Leave this page open.');
    case 'keptAgain':
      return tellStanding(null);
    case 'notOpened':
      return notify({
        text: `${event.name} was not opened: the browser has no room to put the damaged copy aside that it takes the place of.`,
      });
    case 'otherTab':
      return notify({
        text: event.isWhole
          ? `${event.name} was changed in another tab too. Both changes are kept.`
          : `${event.name} was changed in another tab. The newer state is shown; what you took back here was not.`,
      });
  }
};

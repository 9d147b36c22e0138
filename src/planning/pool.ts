import { wrap, type Remote } from 'comlink';
import type { Comparer } from './compare.worker';

/** What waits for a worker: the lower its rank, the sooner it has one. */
interface Job {
  rank: number;
  run: (comparer: Remote<Comparer>) => Promise<void>;
  /** Ends it where it runs. */
  isOver: () => boolean;
}

interface Hand {
  worker: Worker;
  comparer: Remote<Comparer>;
}

const MAX_WORKERS = 4;
/** One core is left to the page. */
const size = (): number => Math.max(1, Math.min(MAX_WORKERS, navigator.hardwareConcurrency - 1));

const waiting: Job[] = [];
const idle: Hand[] = [];
let busy = 0;

const hire = (): Hand => {
  const worker = new Worker(new URL('./compare.worker.ts', window.location.href));
  return { worker, comparer: wrap<Comparer>(worker) };
};

const next = (): void => {
  if (busy >= size()) return;
  const job = waiting.shift();
  if (!job) return;
  const hand = idle.pop() ?? hire();
  busy++;
  void job.run(hand.comparer).finally(() => {
    busy--;
    // One that was told to end is still at it: it goes, and another is hired.
    if (job.isOver()) hand.worker.terminate();
    else idle.push(hand);
    next();
  });
  next();
};

/** Runs work in one of a few workers, those of lower `rank` first; `signal` calls it off, also while it runs. */
export const inPool = <T>(
  rank: number,
  signal: AbortSignal,
  work: (comparer: Remote<Comparer>) => Promise<T>,
): Promise<T> =>
  new Promise((resolve, reject) => {
    const aborted = new Promise<never>((_, refuse) =>
      signal.addEventListener('abort', () => refuse(signal.reason), { once: true }),
    );
    aborted.catch(() => {
      const index = waiting.indexOf(job);
      if (index >= 0) waiting.splice(index, 1);
      reject(signal.reason);
    });
    const job: Job = {
      rank,
      run: (comparer) => Promise.race([work(comparer), aborted]).then(resolve, reject),
      isOver: () => signal.aborted,
    };
    const place = waiting.findIndex((other) => other.rank > rank);
    waiting.splice(place < 0 ? waiting.length : place, 0, job);
    next();
  });

/** Has a worker at hand with its solver loaded, before it is asked for anything. */
export const warmPool = (): void => {
  if (idle.length + busy > 0) return;
  void inPool(0, new AbortController().signal, (comparer) => comparer.ready()).catch(() => undefined);
};

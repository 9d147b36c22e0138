import { proxy, wrap } from 'comlink';
import type { CheckAgainst, Plan, PlanInput, Progress } from '@/core/plan';
import type { Prover } from './prove.worker';

/** A change is often followed by another: the solver starts when it has been still for so long. */
const STILL = 500;

let last: Promise<unknown> = Promise.resolve();

/** A search for the best plan. */
export interface Proof {
  plan: Promise<Plan>;
  /** Ends the search, with the best plan so far where there is one. */
  stop: () => void;
}

/**
 * The cheapest plan of an input, and its proof where there is one; one after the other. `first` is the best until a better
 * one is heard of; `signal` ends the search at once.
 */
export const prove = (
  input: PlanInput,
  against: CheckAgainst,
  first: Plan,
  signal: AbortSignal,
  tell: (progress: Progress) => void,
): Proof => {
  let best = first;
  const search = new AbortController();
  signal.addEventListener('abort', () => search.abort(signal.reason), { once: true });
  const heard = (progress: Progress): void => {
    best = progress.plan;
    tell(progress);
  };
  const start = async (): Promise<Plan> => {
    await new Promise((resolve) => setTimeout(resolve, STILL));
    const proof = last.then(() => run(input, against, search.signal, heard));
    last = proof.catch(() => undefined);
    return proof;
  };
  const stopped = new Promise<Plan>((resolve, reject) =>
    search.signal.addEventListener('abort', () => (signal.aborted ? reject(signal.reason) : resolve(best)), {
      once: true,
    }),
  );
  return { plan: Promise.race([stopped, start()]), stop: () => search.abort() };
};

/** The search, in a worker of its own: the only way to stop a solver is to end it. */
const run = (
  input: PlanInput,
  against: CheckAgainst,
  signal: AbortSignal,
  heard: (progress: Progress) => void,
): Promise<Plan> =>
  new Promise((resolve, reject) => {
    signal.throwIfAborted();
    const worker = new Worker(new URL('./prove.worker.ts', window.location.href));
    const abort = () => {
      worker.terminate();
      reject(signal.reason);
    };
    signal.addEventListener('abort', abort, { once: true });
    worker.addEventListener('error', () => reject(new Error('the solver could not be started')));
    void wrap<Prover>(worker)
      .bestPlan(input, against, proxy(heard))
      .then(resolve, reject)
      .finally(() => {
        signal.removeEventListener('abort', abort);
        worker.terminate();
      });
  });

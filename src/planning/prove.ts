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

/** The cheapest plan of an input, and its proof where there is one; one after the other. `signal` ends it at once. */
export const prove = (
  input: PlanInput,
  against: CheckAgainst,
  signal: AbortSignal,
  tell: (progress: Progress) => void,
): Proof => {
  let best: Plan | null = null;
  let end: (plan: Plan | null) => void = () => undefined;
  const start = async (): Promise<Plan> => {
    await new Promise((resolve) => setTimeout(resolve, STILL));
    const proof = last.then(() => run());
    last = proof.catch(() => undefined);
    return proof;
  };
  const run = (): Promise<Plan> =>
    new Promise((resolve, reject) => {
      signal.throwIfAborted();
      // A worker of its own: the only way to stop a solver is to end it.
      const worker = new Worker(new URL('./prove.worker.ts', window.location.href));
      const abort = () => {
        worker.terminate();
        reject(signal.reason);
      };
      end = (plan) => {
        if (!plan) return;
        worker.terminate();
        resolve(plan);
      };
      signal.addEventListener('abort', abort, { once: true });
      worker.addEventListener('error', () => reject(new Error('the solver could not be started')));
      const heard = (progress: Progress): void => {
        best = progress.plan;
        tell(progress);
      };
      void wrap<Prover>(worker)
        .bestPlan(input, against, proxy(heard))
        .then(resolve, reject)
        .finally(() => {
          signal.removeEventListener('abort', abort);
          worker.terminate();
        });
    });
  return { plan: start(), stop: () => end(best) };
};

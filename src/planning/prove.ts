import { wrap } from 'comlink';
import type { CheckAgainst, Plan, PlanInput } from '@/core/plan';
import type { Prover } from './prove.worker';

/** A change is often followed by another: the solver starts when it has been still for so long. */
const STILL = 500;

let last: Promise<unknown> = Promise.resolve();

/** The cheapest plan of an input, and its proof where there is one; one after the other. `signal` stops it at once. */
export const prove = async (input: PlanInput, against: CheckAgainst, signal: AbortSignal): Promise<Plan> => {
  await new Promise((resolve) => setTimeout(resolve, STILL));
  const proof = last.then(() => run(input, against, signal));
  last = proof.catch(() => undefined);
  return proof;
};

const run = (input: PlanInput, against: CheckAgainst, signal: AbortSignal): Promise<Plan> =>
  new Promise((resolve, reject) => {
    signal.throwIfAborted();
    // A worker of its own: the only way to stop a solver is to end it.
    const worker = new Worker(new URL('./prove.worker.ts', window.location.href));
    const stop = () => {
      worker.terminate();
      reject(signal.reason);
    };
    signal.addEventListener('abort', stop, { once: true });
    worker.addEventListener('error', () => reject(new Error('the solver could not be started')));
    void wrap<Prover>(worker)
      .bestPlan(input, against)
      .then(resolve, reject)
      .finally(() => {
        signal.removeEventListener('abort', stop);
        worker.terminate();
      });
  });

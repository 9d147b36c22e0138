/*
 * The bundler finds a worker by the literal address in its constructor: hence one function for each.
 */

export const startPlanner = (): Worker =>
  new Worker(new URL('../workers/planner.worker.ts', window.location.href));

export const startPacker = (): Worker =>
  new Worker(new URL('../workers/pack.worker.ts', window.location.href));

export const startReader = (): Worker =>
  new Worker(new URL('../workers/reading.worker.ts', window.location.href));

/** False where tests run without a browser. */
export const hasWorkers = (): boolean => typeof Worker !== 'undefined';

/** Cores that this device tells of. */
export const coreCount = (): number => navigator.hardwareConcurrency;

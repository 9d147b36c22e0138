/*
 * The bundler finds a worker by the literal address in its constructor: hence one function for each.
 */

/** Starts a worker that plans and compares. */
export const startPlanner = (): Worker =>
  new Worker(new URL('../workers/planner.worker.ts', window.location.href));

/** Starts a worker that packs the price book. */
export const startPacker = (): Worker =>
  new Worker(new URL('../workers/pack.worker.ts', window.location.href));

/** Starts a worker that reads price sheets. */
export const startReader = (): Worker =>
  new Worker(new URL('../workers/reading.worker.ts', window.location.href));

/** False where tests run without a browser. */
export const hasWorkers = (): boolean => typeof Worker !== 'undefined';

/** Cores that this device tells of. */
export const coreCount = (): number => navigator.hardwareConcurrency;

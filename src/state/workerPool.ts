import { abortReason } from './abort';

/** A worker that is running. */
export interface PooledWorker<A> {
  api: A;
  /** Ends it, whatever it is at. */
  terminate: () => void;
  /** Calls back when it breaks down by itself: not when a question to it fails. */
  onCrash: (listener: (error: Error) => void) => void;
}

/** Where a job runs: `quick` work has a worker that no long search ever holds. */
export type Lane = 'quick' | 'long';

interface Job<A> {
  lane: Lane;
  rank: number;
  signal: AbortSignal;
  work: (api: A) => Promise<unknown>;
  resolve: (value: unknown) => void;
  reject: (reason: unknown) => void;
  tries: number;
}

interface Options<A> {
  spawn: () => PooledWorker<A>;
  /** Workers of each lane. */
  size: Record<Lane, number>;
  /** Hears that a worker broke down and that another takes its work up. */
  onRestart?: (error: Error) => void;
}

/** A worker that broke down twice over the same work. */
export class WorkerFailed extends Error {}

/**
 * Runs work in a few workers: those of lower `rank` first, in each lane. Work that is called off while it runs ends its worker,
 * since a solver cannot be told to stop; a worker that breaks down is replaced, and its work tried once more.
 */
export class WorkerPool<A> {
  private readonly waiting: Job<A>[] = [];
  private readonly idle: Record<Lane, PooledWorker<A>[]> = { quick: [], long: [] };
  private readonly busy: Record<Lane, number> = { quick: 0, long: 0 };

  constructor(private readonly options: Options<A>) {}

  /** Runs `work` in a worker. Rejects with the reason of `signal` once that is called off. @throws WorkerFailed */
  run<T>(lane: Lane, rank: number, signal: AbortSignal, work: (api: A) => Promise<T>): Promise<T> {
    return new Promise<T>((resolve, reject) => {
      if (signal.aborted) return reject(abortReason(signal));
      const job: Job<A> = {
        lane,
        rank,
        signal,
        work,
        resolve: resolve as (value: unknown) => void,
        reject,
        tries: 0,
      };
      signal.addEventListener(
        'abort',
        () => {
          const index = this.waiting.indexOf(job);
          if (index >= 0) this.waiting.splice(index, 1);
          reject(abortReason(signal));
        },
        { once: true },
      );
      this.enqueue(job);
    });
  }

  /** Has a worker of a lane at hand before it is asked for anything. */
  warm(lane: Lane, work: (api: A) => Promise<void>): void {
    if (this.idle[lane].length + this.busy[lane] > 0) return;
    this.run(lane, 0, new AbortController().signal, work).catch(() => undefined);
  }

  private enqueue(job: Job<A>): void {
    const place = this.waiting.findIndex((other) => other.rank > job.rank);
    this.waiting.splice(place < 0 ? this.waiting.length : place, 0, job);
    this.next(job.lane);
  }

  private next(lane: Lane): void {
    if (this.busy[lane] >= this.options.size[lane]) return;
    const index = this.waiting.findIndex((job) => job.lane === lane);
    const [job] = index < 0 ? [] : this.waiting.splice(index, 1);
    if (!job) return;
    this.busy[lane]++;
    void this.start(job, this.idle[lane].pop() ?? this.options.spawn());
    this.next(lane);
  }

  private async start(job: Job<A>, worker: PooledWorker<A>): Promise<void> {
    const { lane, signal } = job;
    const fate = { isLost: false };
    const lost = new Promise<never>((_, reject) => {
      signal.addEventListener('abort', () => reject(abortReason(signal)), { once: true });
      worker.onCrash((error) => {
        fate.isLost = true;
        reject(error);
      });
    });
    try {
      job.resolve(await Promise.race([job.work(worker.api), lost]));
    } catch (error) {
      if (fate.isLost && !signal.aborted) this.restart(job, error as Error);
      else job.reject(error);
    }
    this.busy[lane]--;
    // One that was told to end is still at it: it goes, and another takes its place.
    if (signal.aborted || fate.isLost) worker.terminate();
    else this.idle[lane].push(worker);
    this.next(lane);
  }

  private restart(job: Job<A>, error: Error): void {
    if (++job.tries > 1) return job.reject(new WorkerFailed(error.message));
    this.options.onRestart?.(error);
    this.enqueue(job);
  }
}

/** What became of one write. */
export type WriteOutcome = 'saved' | 'refused' | 'failed';

/** Time, so that tests need not wait for it. */
export interface Clock {
  now: () => number;
  /** Calls back after so many ms. Returns how to call it off. */
  after: (ms: number, work: () => void) => () => void;
}

/** The clock on the wall. */
export const wallClock: Clock = {
  now: () => Date.now(),
  after: (ms, work) => {
    const timer = setTimeout(work, ms);
    return () => clearTimeout(timer);
  },
};

/** Pauses before a failed write is tried again, in ms; the last one repeats. */
const RETRY_DELAYS = [2_000, 10_000, 60_000];

interface Options {
  clock: Clock;
  /** Writes what is newest under a key. Rejects where it cannot be written. */
  write: (key: string) => Promise<'saved' | 'refused'>;
  /** Hears what became of each write. */
  onOutcome: (key: string, outcome: WriteOutcome, error?: unknown) => void;
}

/**
 * Writes one key after the other, in the order in which they were first asked for; what is asked for again before its turn is
 * written once. Each write has its own outcome: one that is refused or fails never holds up another. A failed one is tried
 * again by itself, and with the next change.
 */
export class WriteQueue {
  private readonly waiting = new Set<string>();
  private readonly failed = new Map<string, number>();
  private readonly idle: (() => void)[] = [];
  private isWriting = false;
  private cancelRetry: (() => void) | null = null;

  constructor(private readonly options: Options) {}

  /** Has what is newest under `key` written soon. */
  enqueue(key: string): void {
    this.waiting.add(key);
    this.start();
  }

  /** Whether something is not written yet. */
  get hasUnwritten(): boolean {
    return this.isWriting || this.waiting.size > 0 || this.failed.size > 0;
  }

  /** Whether a write has failed and was not made since. */
  get isFailing(): boolean {
    return this.failed.size > 0;
  }

  /** Resolves when everything asked for so far was tried once. */
  settled(): Promise<void> {
    if (!this.isWriting && this.waiting.size === 0) return Promise.resolve();
    return new Promise((resolve) => this.idle.push(resolve));
  }

  private start(): void {
    if (this.isWriting) return;
    this.isWriting = true;
    // What was typed is on screen first.
    this.options.clock.after(0, () => void this.drain());
  }

  private async drain(): Promise<void> {
    for (let key = this.next(); key !== undefined; key = this.next()) await this.writeOne(key);
    this.isWriting = false;
    for (const resolve of this.idle.splice(0)) resolve();
    this.planRetry();
  }

  private next(): string | undefined {
    const [key] = this.waiting;
    if (key !== undefined) this.waiting.delete(key);
    return key;
  }

  private async writeOne(key: string): Promise<void> {
    try {
      const outcome = await this.options.write(key);
      this.failed.delete(key);
      this.options.onOutcome(key, outcome);
    } catch (error) {
      this.failed.set(key, (this.failed.get(key) ?? 0) + 1);
      this.options.onOutcome(key, 'failed', error);
    }
  }

  private planRetry(): void {
    this.cancelRetry?.();
    this.cancelRetry = null;
    if (this.failed.size === 0) return;
    const tries = Math.max(...this.failed.values());
    const delay = RETRY_DELAYS[Math.min(tries, RETRY_DELAYS.length) - 1] ?? 0;
    this.cancelRetry = this.options.clock.after(delay, () => {
      for (const key of this.failed.keys()) this.enqueue(key);
    });
  }
}

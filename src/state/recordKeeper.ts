import type { Tags } from '@/data/records';
import type { WorkspaceCommand } from './transaction';
import { WriteQueue, type Clock, type WriteOutcome } from './writeQueue';

/** What was done to a record since it was last written. Null commands: it cannot be done again on another state. */
export interface UnsavedStep {
  commands: WorkspaceCommand[] | null;
  at: number;
  id: string;
  projectId: string | null;
}

/** What became of a writing that follows another: `refused`, where another tab was first. */
export type Kept = 'saved' | 'refused';

interface Options {
  clock: Clock;
  newId: () => string;
  /** Writes what is newest under `key`, where what is stored is the writing it follows. Null: there is nothing to write. */
  write: (key: string, tags: Tags) => Promise<Kept> | null;
  /** The same before it returns, for a page that goes: what is stored may be of any of `parents`. */
  writeNow: (key: string, tags: Tags, parents: (string | null)[]) => Kept | null;
  /** Another tab was first: takes its state, and does `again` on it what was done here. */
  rebase: (key: string, again: UnsavedStep[]) => Promise<void>;
  rebaseNow: (key: string, again: UnsavedStep[]) => void;
  onOutcome: (outcome: WriteOutcome, isFailing: boolean, error: unknown) => void;
}

/**
 * Knows of each stored record which writing is the newest of this tab, and what was done since. Writes behind the screen, in
 * order; as the page goes, at once.
 */
export class RecordKeeper {
  private readonly tags = new Map<string, string | null>();
  private readonly unsaved = new Map<string, UnsavedStep[]>();
  /** The tag of the writing under way, by key. */
  private readonly underWay = new Map<string, string>();
  private readonly queue: WriteQueue;

  constructor(private readonly options: Options) {
    this.queue = new WriteQueue({
      clock: options.clock,
      write: (key) => this.write(key),
      onOutcome: (_key, outcome, error) => options.onOutcome(outcome, this.queue.isFailing, error),
    });
  }

  /** Says which writing is stored under a key. */
  follow(key: string, tag: string | null): void {
    this.tags.set(key, tag);
  }

  /** Has a record written soon, for `step` or for itself. */
  enqueue(key: string, step?: UnsavedStep): void {
    if (step) this.unsaved.set(key, [...(this.unsaved.get(key) ?? []), step]);
    this.queue.enqueue(key);
  }

  /** Whether something was done to a record that is not written. */
  hasUnsaved(key: string): boolean {
    return this.unsaved.has(key);
  }

  /** Whether a change is not written yet. */
  get hasUnwritten(): boolean {
    return this.queue.hasUnwritten;
  }

  /** Resolves when every change so far was tried to be written. */
  written(): Promise<void> {
    return this.queue.settled();
  }

  /** Writes all that waits before it returns: a promise would come too late for a page that goes. */
  flush(): void {
    for (const key of this.queue.takeAll()) {
      const tag = this.options.newId();
      const own = [this.tags.get(key) ?? null, this.underWay.get(key) ?? null];
      // The writing under way finds that it was overtaken.
      this.underWay.delete(key);
      try {
        const kept = this.options.writeNow(key, { tag, parent: own[0] ?? null }, own);
        if (kept === 'refused') {
          const again = this.taken(key);
          this.options.rebaseNow(key, again);
          const parent = this.tags.get(key) ?? null;
          if (this.options.writeNow(key, { tag, parent }, [parent]) !== 'saved') continue;
        }
        this.tags.set(key, tag);
        this.unsaved.delete(key);
      } catch {
        // No room: it goes on waiting, and is told as any write that fails.
        this.queue.enqueue(key);
      }
    }
  }

  private taken(key: string): UnsavedStep[] {
    const steps = this.unsaved.get(key) ?? [];
    this.unsaved.delete(key);
    return steps;
  }

  private async write(key: string): Promise<Kept> {
    const tag = this.options.newId();
    const written = this.unsaved.get(key)?.length ?? 0;
    const writing = this.options.write(key, { tag, parent: this.tags.get(key) ?? null });
    if (!writing) return 'saved';
    this.underWay.set(key, tag);
    const outcome = await writing;
    if (this.underWay.get(key) !== tag) return 'saved';
    this.underWay.delete(key);
    if (outcome === 'refused') {
      await this.options.rebase(key, this.taken(key));
      return 'refused';
    }
    this.tags.set(key, tag);
    const left = this.unsaved.get(key)?.slice(written) ?? [];
    if (left.length > 0) this.unsaved.set(key, left);
    else this.unsaved.delete(key);
    return 'saved';
  }
}

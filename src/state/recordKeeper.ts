import type { Tags } from '@/data/records';
import type { JournalEntry } from './journalEntry';
import { WriteQueue, type Clock, type WriteOutcome } from './writeQueue';

/** What became of a writing that follows another: `refused`, where another tab was first. */
export type Kept = 'saved' | 'refused';

interface Options {
  clock: Clock;
  newId: () => string;
  /**
   * Writes what is newest under `key`, where what is stored is the writing it follows, or one of `own`: tags of writings of
   * this tab that failed, and may have come through all the same. Null: there is nothing to write.
   */
  write: (key: string, tags: Tags, own: string[]) => Promise<Kept> | null;
  /** Another tab was first: takes its state, and does on it again what was done here. */
  rebase: (key: string) => Promise<void>;
  /** All records that an entry touched have it now. */
  onKept: (entryId: string) => void;
  onOutcome: (outcome: WriteOutcome, isFailing: boolean, error: unknown) => void;
}

/** So many failed writings of a record are remembered. */
const MAX_TRIED = 50;

/**
 * Knows of each stored record which writing is the newest of this tab, and what was done since. Writes behind the screen, in
 * order.
 */
export class RecordKeeper {
  private readonly tags = new Map<string, string | null>();
  private readonly unsaved = new Map<string, JournalEntry[]>();
  /** Tags of writings that are under way or have failed, by key. */
  private readonly tried = new Map<string, string[]>();
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

  /** Has a record written soon, for an entry or for itself. */
  enqueue(key: string, entry?: JournalEntry): void {
    if (entry) this.unsaved.set(key, [...(this.unsaved.get(key) ?? []), entry]);
    this.queue.enqueue(key);
  }

  /** Whether something was done to a record that is not written. */
  hasUnsaved(key: string): boolean {
    return this.unsaved.has(key);
  }

  /** Whether something was done to any record that is not written. */
  get hasUnsavedAny(): boolean {
    return this.unsaved.size > 0;
  }

  /** Whether an entry waits to be written, in any record. */
  holds(entryId: string): boolean {
    return [...this.unsaved.values()].some((steps) => steps.some(({ id }) => id === entryId));
  }

  /** Whether a change is not written yet. */
  get hasUnwritten(): boolean {
    return this.queue.hasUnwritten;
  }

  /** Resolves when every change so far was tried to be written. */
  written(): Promise<void> {
    return this.queue.settled();
  }

  /** What was done to a record and is not written: from now on it is no more known of. */
  taken(key: string): JournalEntry[] {
    const steps = this.unsaved.get(key) ?? [];
    this.unsaved.delete(key);
    return steps;
  }

  private settle(steps: JournalEntry[]): void {
    for (const { id } of steps) if (!this.holds(id)) this.options.onKept(id);
  }

  private async write(key: string): Promise<Kept> {
    const tag = this.options.newId();
    const written = this.unsaved.get(key)?.length ?? 0;
    const own = this.tried.get(key) ?? [];
    const writing = this.options.write(key, { tag, parent: this.tags.get(key) ?? null }, own);
    if (!writing) return 'saved';
    this.tried.set(key, [...own.slice(-MAX_TRIED), tag]);
    const outcome = await writing;
    this.tried.delete(key);
    if (outcome === 'refused') {
      await this.options.rebase(key);
      return 'refused';
    }
    this.tags.set(key, tag);
    const steps = this.unsaved.get(key) ?? [];
    const left = steps.slice(written);
    if (left.length > 0) this.unsaved.set(key, left);
    else this.unsaved.delete(key);
    this.settle(steps.slice(0, written));
    return 'saved';
  }
}

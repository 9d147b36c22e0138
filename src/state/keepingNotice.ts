import type { RecordKeeper } from './recordKeeper';
import type { WorkspaceEvent } from './workspace';
import type { Clock, WriteOutcome } from './writeQueue';

/** A change that is not kept after so long, in ms, is told. */
const SLOW_AFTER = 2000;

/** Tells once what is not kept yet, or cannot be, and once that it is again. */
export class KeepingNotice {
  /** What was told last of something that is not kept; null: all is. */
  private told: 'slow' | 'notKept' | null = null;
  private isWatching = false;

  constructor(
    private readonly keeper: Pick<RecordKeeper, 'hasUnwritten' | 'hasUnsavedAny'>,
    private readonly clock: Clock,
    private readonly tell: (event: WorkspaceEvent) => void,
  ) {}

  /** Tells where what was just done is not kept in a while. */
  watch(): void {
    if (this.isWatching) return;
    this.isWatching = true;
    this.clock.after(SLOW_AFTER, () => {
      this.isWatching = false;
      if (!this.keeper.hasUnwritten || this.told) return;
      this.told = 'slow';
      this.tell({ kind: 'slow' });
    });
  }

  /** Hears what became of a writing. `isFailing`: another one still fails. */
  heard(outcome: WriteOutcome, isFailing: boolean, error: unknown): void {
    if (outcome === 'failed') {
      if (this.told !== 'notKept') this.tell({ kind: 'notKept', error });
      this.told = 'notKept';
    } else if (this.told && !isFailing && !this.keeper.hasUnsavedAny) {
      this.told = null;
      this.tell({ kind: 'keptAgain' });
    }
  }
}

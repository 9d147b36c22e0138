import type { Ticks } from '../units';
import type { Layout, Sequence } from '../cutting/model';
import { replay } from '../cutting/verify';
import { sequenceOf } from './sequence';

/** What is wrong with a sequence of a layout, done again by the checker; empty: nothing. */
export const sawFaults = (layout: Layout, sequence: Sequence, kerf: Ticks): string[] => {
  const faults: string[] = [];
  replay(layout, sequence, kerf, (place, sentence) => faults.push(`${place}: ${sentence}`));
  return faults;
};

/** The saw's work on a layout; null where it does not pass the checker, and is not to be shown. */
export const checkedSequence = (layout: Layout, kerf: Ticks): Sequence | null => {
  const sequence = sequenceOf(layout, kerf);
  return sawFaults(layout, sequence, kerf).length === 0 ? sequence : null;
};

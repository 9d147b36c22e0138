import type { Ticks } from '../units';
import type { Layout, Sequence } from '../cutting/model';
import { replay } from '../cutting/verify';
import { sequenceOf } from './sequence';

/** What is wrong with the saw's work on a layout, done again by the checker: a sheet of which anything is wrong is not shown. */
export const sawFaults = (layout: Layout, kerf: Ticks, sequence?: Sequence): string[] => {
  const faults: string[] = [];
  replay(layout, sequence ?? sequenceOf(layout, kerf), kerf, (place, sentence) =>
    faults.push(`${place}: ${sentence}`),
  );
  return faults;
};

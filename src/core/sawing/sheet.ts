import type { Layout, Sequence, Setup } from '../cutting/model';
import type { SawBoard } from './boards';
import { setupKey } from './setups';

/** Boards that are cut alike, once: what a cut sheet shows. */
export interface SawDrawing {
  /** Its place among the drawings of the plan, from one. */
  number: number;
  layout: Layout;
  sequence: Sequence;
  /** How many boards are cut so. */
  count: number;
}

/** One setting of the saw, and what is cut with it. */
export interface SetupUse {
  setup: Setup;
  /** Of boards or of sheets. */
  of: Layout['kind'];
  /** How many cuts are made with it, over all boards. */
  cuts: number;
  /** The drawings that they are on. */
  numbers: number[];
}

/** Each drawing of the boards once, in their order. */
export const drawingsToSaw = (boards: SawBoard[]): SawDrawing[] => {
  const drawings = new Map<number, SawDrawing>();
  for (const { number, layout, sequence } of boards) {
    const held = drawings.get(number);
    if (held) held.count++;
    else drawings.set(number, { number, layout, sequence, count: 1 });
  }
  return [...drawings.values()];
};

/**
 * Every setting that the drawings need, each once, with all the cuts that are made with it: rips first, then stops, the longest
 * first, and ends that are only made clean last. What the store saws is none of them.
 */
export const setupsOf = (drawings: SawDrawing[]): SetupUse[] => {
  const uses = new Map<string, SetupUse>();
  for (const { number, layout, sequence, count } of drawings)
    for (const { setup, store } of sequence.cuts) {
      if (store) continue;
      const key = `${layout.kind} ${setupKey(setup)}`;
      const use = uses.get(key) ?? { setup, of: layout.kind, cuts: 0, numbers: [] };
      use.cuts += count;
      if (!use.numbers.includes(number)) use.numbers.push(number);
      uses.set(key, use);
    }
  return [...uses.values()].sort(
    (a, b) => rankOf(a.setup) - rankOf(b.setup) || measureOf(b.setup) - measureOf(a.setup),
  );
};

const rankOf = ({ tool }: Setup): number => ['fence', 'stop', 'end'].indexOf(tool);
const measureOf = (setup: Setup): number =>
  setup.tool === 'fence' ? setup.fence : setup.tool === 'stop' ? setup.stop : 0;

import type { SawCut, Setup } from '../cutting/model';

/** What a setting is told by: two cuts of the same one need it set once. */
export const setupKey = (setup: Setup): string =>
  setup.tool === 'fence'
    ? `fence ${Math.round(setup.fence)}`
    : `${setup.tool === 'stop' ? `stop ${Math.round(setup.stop)}` : 'end'} ${setup.angle} ${setup.bevel}`;

/** How often the saw is set for cuts in their order; the store sets its own. */
export const countSetups = (cuts: SawCut[]): number => {
  const keys = cuts.filter(({ store }) => !store).map(({ setup }) => setupKey(setup));
  return keys.filter((key, index) => key !== keys[index - 1]).length;
};

/** The same cuts, each after the one that leaves what it is made on, so that the saw is set as seldom as found. */
export const withFewestSetups = (cuts: SawCut[]): SawCut[] => {
  const orders = [cuts, together(cuts)];
  return orders.reduce((best, order) => (countSetups(order) < countSetups(best) ? order : best));
};

/** Cuts that can be made now, of the setting that is on the saw, before any other; else the one that comes first. */
const together = (cuts: SawCut[]): SawCut[] => {
  const there = new Set([0]);
  const left = [...cuts];
  const order: SawCut[] = [];
  while (left.length > 0) {
    const last = order.at(-1);
    const isOpen = ({ from }: SawCut) => there.has(from);
    const first = left.findIndex(isOpen);
    const same = last
      ? left.findIndex((cut) => isOpen(cut) && !cut.store && setupKey(cut.setup) === setupKey(last.setup))
      : -1;
    // What the store makes comes first.
    const store = left.findIndex((cut) => isOpen(cut) && cut.store);
    const [cut] = left.splice(store >= 0 ? store : same >= 0 ? same : Math.max(0, first), 1);
    if (!cut) break;
    order.push(cut);
    for (const id of cut.to) if (id !== null) there.add(id);
  }
  return order;
};

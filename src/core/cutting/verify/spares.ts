import { groupBy } from '../../groupBy';
import { nameKey } from '../../nameKey';
import type { Ticks } from '../../units';
import { roughWaste } from './money';
import { carriesIn, type BuyToCheck, type CheckAgainst, type Note, type PlanToCheck } from './types';

/** Whether the spare boards are there that are wanted of each section and material, in the longest length that is bought. */
export const checkSpares = (plan: PlanToCheck, against: CheckAgainst, note: Note): void => {
  const boards = plan.buys.filter(({ kind }) => kind === 'board');
  for (const own of groupBy(boards, ({ section, material }) => `${section}:${nameKey(material)}`)) {
    const [{ section, material }] = own as [BuyToCheck];
    const longest = longestSpares(own, against);
    const spare = own.reduce(
      (sum, buy) => sum + (longest === null || buy.length === longest ? buy.spare : 0),
      0,
    );
    if (spare < sparesWanted(own, plan, against))
      note(
        `${section} ${material}`,
        `has fewer spare boards than are wanted${longest === null ? '' : ' in the longest length that is bought'}`,
      );
  }
};

/** How many boards that are not cut are wanted of one section and material of which `own` is bought. */
const sparesWanted = (own: BuyToCheck[], plan: PlanToCheck, against: CheckAgainst): number => {
  const [{ section, material }] = own as [BuyToCheck];
  const asked = Object.entries(against.settings.spare ?? {}).find(
    ([name]) => nameKey(name) === nameKey(material),
  )?.[1];
  const share = Math.max(asked ?? 0, ...own.map((buy) => roughWaste(buy, against)));
  const cut = own.reduce((sum, { qty, pack, spare }) => sum + qty * pack - spare, 0);
  const isOfIt = (of: { section: string; material: string }) =>
    of.section === section && nameKey(of.material) === nameKey(material);
  const before = against.owned
    .filter((pile) => pile.isBought && isOfIt(pile))
    .reduce((sum, { quantity }) => sum + quantity, 0);
  const cutOwned = plan.layouts
    .filter((layout) => 'owned' in layout.source && isOfIt(layout))
    .reduce((sum, { count }) => sum + count, 0);
  const cutBefore = Math.min(before, cutOwned);
  return Math.ceil((cut + cutBefore) * share - 1e-9) - (before - cutBefore);
};

/** The longest length of a section and material that is bought and goes in the car; null: it may run out, and any length will do. */
const longestSpares = (own: BuyToCheck[], against: CheckAgainst): Ticks | null => {
  const carries = carriesIn('board', against.settings);
  const goes = own.filter(({ length, width }) => carries(length, width));
  const longest = Math.max(0, ...goes.map(({ length }) => length));
  const [{ section, material }] = own as [BuyToCheck];
  const mayRunOut = against.prices.some(
    (row) =>
      row.available !== null &&
      row.length === longest &&
      nameKey(row.material) === nameKey(material) &&
      (row.rough !== null || row.section === section),
  );
  return longest === 0 || mayRunOut ? null : longest;
};

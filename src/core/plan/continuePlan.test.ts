import fc from 'fast-check';
import { purchaseLine } from '../budget';
import { TICKS_PER_FOOT } from '../units';
import { fromCsv } from '../testing';
import type { Item, Project, Purchase } from '../project';
import { againstProject, bestOf, planInput, type Plan } from '.';
import { continuePlan, checkPlan, firstPlan } from './planner';

const given = fromCsv({
  parts:
    'part,qty,section,length,kind,item,width\nPost,7,2x4,40,,,\nRail,5,2x4,58 1/2,,,\nSlat,9,1x6,30,,,\nShelf,2,3/4in,24,sheet,,20\nScrew,130,,,hardware,screws,',
  prices:
    "store,section,length,material,price,kind,item,pack,width\nYard,2x4,8',stud,4,,,,\nYard,2x4,10',stud,5.4,,,,\nBarn,1x6,6',pine,3.1,,,,\nYard,3/4in,8',ply,41,sheet,,,4'\nBarn,,,,9,hardware,screws,100,",
  settings: { tax: 0.07, spare: { stud: 0.1 } },
  stores: { Yard: { trip: 420 }, Barn: { trip: 300 } },
});

/** `share` of each line of a plan bought as planned, where `chosen` says so. */
const buying = (project: Project, chosen: boolean[], share: number): { project: Project; paid: number } => {
  const plan = firstPlan(planInput(project, given.book));
  const lines = plan.buys.flatMap((buy, index) => {
    const item = Object.values(given.book.prices).find((price) => price.item.name === buy.item)?.item;
    const quantity = Math.max(1, Math.floor(buy.qty * share));
    if (!item || !chosen[index % chosen.length]) return [];
    const paid = Math.round((buy.costWithTax * quantity) / buy.qty);
    return [
      {
        buy,
        paid,
        line: purchaseLine(item, buy.pack, quantity, paid, { taxFree: false }, project.settings, 'USD'),
      },
    ];
  });
  const purchases = lines.map(({ buy, line }): Purchase => ({
    id: buy.offerKey,
    date: '2026-11-25',
    storeId: buy.storeId,
    store: buy.store,
    note: '',
    lines: [line],
  }));
  return { project: { ...project, purchases }, paid: lines.reduce((sum, { paid }) => sum + paid, 0) };
};

test('whatever of a plan is bought, in whole lines or parts of them: the rest stays as it was, holds, and costs the rest', () => {
  const input = planInput(given.project, given.book);
  const plan = firstPlan(input);
  fc.assert(
    fc.property(
      fc.array(fc.boolean(), { minLength: 1, maxLength: 6 }),
      fc.constantFrom(1, 0.5, 0.34),
      (chosen, share) => {
        const { project, paid } = buying(given.project, chosen, share);
        const now = planInput(project, given.book);
        const rest = continuePlan({ plan, input }, now, firstPlan(now));
        expect(rest && checkPlan(rest, againstProject(project, given.book))).toEqual([]);
        const trips = [...new Set(project.purchases.map(({ store }) => store))].reduce(
          (sum, store) => sum + (store === 'Yard' ? 420 : 300),
          0,
        );
        // Rounding to cents once a store, and again for what is left of it.
        expect(Math.abs((rest?.total ?? 0) + paid + trips - plan.total)).toBeLessThanOrEqual(8);
        const left = new Map(rest?.buys.map(({ offerKey, qty }) => [offerKey, qty]));
        for (const { offerKey, qty } of plan.buys) {
          const bought = project.purchases.find(({ id }) => id === offerKey)?.lines[0]?.quantity ?? 0;
          expect(left.get(offerKey) ?? 0).toBe(qty - bought);
        }
      },
    ),
  );
});

/** The book without the prices that `isGone` is true of. */
const bookWithout = (isGone: (item: Item) => boolean) => ({
  ...given.book,
  prices: Object.fromEntries(Object.entries(given.book.prices).filter(([, { item }]) => !isGone(item))),
});

test('of something that is not there any more only what is cut from the same stuff is planned anew', () => {
  const input = planInput(given.project, given.book);
  const plan = firstPlan(input);
  const book = bookWithout(({ section, length }) => section === '2x4' && length?.text === "10'");
  expect(plan.buys.map(({ section, length }) => `${section}x${length / TICKS_PER_FOOT}`)).toContain('2x4x10');
  fc.assert(
    fc.property(
      fc.array(fc.boolean(), { minLength: 1, maxLength: 6 }),
      fc.constantFrom(1, 0.5, 0.34),
      (chosen, share) => {
        const { project } = buying(given.project, chosen, share);
        const now = planInput(project, book);
        const rest = continuePlan({ plan, input }, now, firstPlan(now));
        expect(rest && checkPlan(rest, againstProject(project, book))).toEqual([]);
        const asked = new Map(rest?.buys.map(({ offerKey, qty }) => [offerKey, qty]));
        for (const { offerKey, section, qty } of plan.buys.filter(({ section }) => section !== '2x4')) {
          const bought = project.purchases.find(({ id }) => id === offerKey)?.lines[0]?.quantity ?? 0;
          expect([section, asked.get(offerKey) ?? 0]).toEqual([section, qty - bought]);
        }
      },
    ),
  );
});

test('it does not hold for other parts, nor where nothing can be had in place of what is gone', () => {
  const input = planInput(given.project, given.book);
  const planned = { plan: firstPlan(input), input };
  const more = planInput({ ...given.project, builds: 2 }, given.book);
  expect(continuePlan(planned, more, firstPlan(more))).toBeNull();
  const none = planInput(
    { ...given.project },
    bookWithout(({ name }) => name === 'screws'),
  );
  expect(continuePlan(planned, none, firstPlan(none))).toBeNull();
});

test('what is on screen stays while a search has nothing better, and takes what is known of the least from it', () => {
  const shown: Plan = { ...firstPlan(planInput(given.project, given.book)), total: 5000, lowerBound: 4000 };
  const found = (fields: Partial<Plan>): Plan => ({ ...shown, buys: [...shown.buys].reverse(), ...fields });
  const worse = bestOf(shown, found({ total: 5200, lowerBound: 4700 }));
  expect(worse).toEqual({ ...shown, lowerBound: 4700 });
  // It is never said to cost less than what it costs at the least.
  expect(bestOf(shown, found({ total: 5200, lowerBound: 5100 }))).toEqual({ ...shown, lowerBound: 5000 });
  const same = found({ total: 5000, lowerBound: 5000, status: 'proved' });
  expect(bestOf(shown, same)).toEqual({ ...shown, lowerBound: 5000, status: 'proved' });
  // Of the same purchases what is cut in a way that is liked better is shown.
  const [first, ...others] = shown.layouts;
  const long = first && { ...first, offcuts: [...first.offcuts, { x: 0, y: 0, length: 1e9, width: 1 }] };
  const tidier = found({ ...same, layouts: long ? [long, ...others] : [] });
  expect(bestOf(shown, tidier)).toBe(tidier);
  expect(bestOf(shown, { ...tidier, buys: shown.buys.slice(1) })?.layouts).toBe(shown.layouts);
  const better = found({ total: 4900, lowerBound: 4500 });
  expect(bestOf(shown, better)).toBe(better);
  expect(bestOf(null, better)).toBe(better);
  expect(bestOf(shown, found({ total: 0, status: 'infeasible' }))).toBe(shown);
});

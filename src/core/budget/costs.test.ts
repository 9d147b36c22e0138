import { fromCsv } from '../testing';
import { planInput } from '../plan';
import { firstPlan } from '../plan/planner';
import { emptyExtra, type Project } from '../project';
import {
  costsOf,
  eachOf,
  hardwareItem,
  inThePiece,
  inThePieceOfAll,
  pricingAnalysis,
  projectMoney,
  toolsToBuy,
} from '.';

const { project } = fromCsv({
  parts: 'part,qty,section,length\nRail,1,2x4,40',
  prices: "store,section,length,material,price\nYard,2x4,8',stud,4",
});
const saw = {
  item: hardwareItem('hand saw'),
  pack: 1,
  quantity: 1,
  price: 2000,
  tax: 0,
  category: 'tools' as const,
};
const withSaw = (fields: Partial<Project>, charge?: 'whole' | 'spread' | 'out'): Project => ({
  ...project,
  purchases: [
    {
      id: 'p',
      date: '2026-11-03',
      storeId: '',
      store: 'Fair',
      note: '',
      lines: [{ ...saw, ...(charge ? { charge: { way: charge, over: 4 } } : {}) }],
    },
  ],
  ...fields,
});
const sums = { inPiece: 3000, atTill: 6620 };

test('a tool counts whole, by its share of the projects it will serve, or not at all; at the till always whole', () => {
  const all = (charge?: 'whole' | 'spread' | 'out') => costsOf(withSaw({}, charge), sums);
  expect([all(), all('whole'), all('spread'), all('out')].map(({ allIn }) => allIn)).toEqual([
    6620, 6620, 5120, 4620,
  ]);
  expect(all('out').atTill).toBe(6620);
});

test('all in are travel by distance, power, hours at their rate, tools told beside, and what else was told', () => {
  const work = {
    hours: 2,
    rate: 1500,
    beside: 120,
    travel: { distance: 20, unit: 'mi' as const, rate: 67 },
    power: { kilowattHours: 3, rate: 16 },
    tools: [{ id: 't', name: 'clamp', price: 900, charge: { way: 'spread' as const, over: 3 } }],
  };
  const costs = costsOf(withSaw({ work }), sums);
  expect(costs).toMatchObject({ travel: 1340, power: 48, labour: 3000, otherCosts: 120 });
  expect(costs.allIn).toBe(6620 + 1340 + 48 + 3000 + 120 + 300);
});

test('at 35 you pay 11.20 to give away what cost 46.20 at the till', () => {
  const work = { hours: 4, rate: null, beside: null, offer: 3500 };
  const { offer } = pricingAnalysis(
    { ...project, work },
    costsOf({ ...project, work }, { inPiece: 3000, atTill: 4620 }),
  );
  expect(offer).toMatchObject({ overTill: -1120, overAllIn: -1120, anHour: -280, breakEven: null });
});

test('asking prices: by margin, three times the materials (common practice), below ready made', () => {
  const readyMade = [{ id: 'r', price: 18000, source: 'a shop', date: '2026-11-03' }];
  const of = withSaw({
    work: { hours: null, rate: null, beside: null, margin: 0.25, below: 0.1 },
    readyMade,
  });
  expect(pricingAnalysis(of, costsOf(of, sums))).toMatchObject({
    byMargin: 8827,
    byMaterials: 3 * 4620,
    byReadyMade: 16200,
  });
});

test('a batch pays for its tools from so many on: 46.20 each, a saw for 20, sold at 50', () => {
  const work = { hours: null, rate: null, beside: null, offer: 5000 };
  const of = withSaw({ work });
  // 3.80 over what each costs: the sixth pays the rest of the saw.
  expect(pricingAnalysis(of, costsOf(of, sums)).offer?.breakEven).toBe(6);
});

test('half a board of 12.00 is 6.00 in the piece (common practice)', () => {
  const half = fromCsv({
    parts: 'part,qty,section,length\nRail,1,2x8,48',
    prices: "store,section,length,material,price\nYard,2x8,8',stud,12",
    settings: {},
  });
  const plan = firstPlan(planInput(half.project, half.book));
  expect(Object.values(inThePiece(half.project, plan))).toEqual([600]);
  expect(plan.total).toBe(1200);
});

test('store split: lumber at a yard, steel online, came to 115 where one store asked over 200 (common practice)', () => {
  const shop = (stores: string[]) => {
    const { project: frame, book } = fromCsv({
      parts: 'part,qty,section,length,kind,item\nRail,12,2x4,96,,\nBracket,8,,,hardware,corner bracket',
      prices:
        "store,section,length,material,price,kind,item\nYard,2x4,8',stud,5.25,,\nPost,,,,6.5,hardware,corner bracket\nBig store,2x4,8',stud,6.2,,\nBig store,,,,16.5,hardware,corner bracket",
    });
    const prices = Object.fromEntries(
      Object.entries(book.prices).filter(([, { storeId }]) =>
        stores.includes(book.stores[storeId]?.name ?? ''),
      ),
    );
    return firstPlan(planInput(frame, { ...book, prices }));
  };
  const split = shop(['Yard', 'Post', 'Big store']);
  expect([split.total, split.stores.map(({ store }) => store)]).toEqual([11500, ['Yard', 'Post']]);
  expect(shop(['Big store']).total).toBeGreaterThan(20000);
});

test('for several, each bears its share', () => {
  expect(eachOf(1000, { builds: 3 })).toBe(333);
});

test('hours for each follow the number that is built, hours for all do not; what one hour earns follows', () => {
  const at = (builds: number, isHoursEach: boolean) => {
    const work = { hours: 2, rate: 1500, beside: null, isHoursEach, offer: 10_000 };
    const made: Project = { ...project, builds, work };
    const costs = costsOf(made, { inPiece: 0, atTill: 1000 * builds });
    return [costs.labour, pricingAnalysis(made, costs).offer?.anHour];
  };
  expect(at(1, true)).toEqual([3000, 4500]);
  expect(at(3, true)).toEqual([9000, 4500]);
  expect(at(3, false)).toEqual([3000, 13_500]);
});

test('a tool that is still to buy is paid at the till, is no part of the piece, and is not asked for three times', () => {
  const { project: made, book } = fromCsv({
    parts: 'part,qty,kind,section,length,item\nRail,2,,2x4,40,\nSaw,1,hardware,,,hand saw',
    prices:
      'store,kind,section,length,material,price,item\nYard,,2x4,8ft,stud,4,\nYard,hardware,,,,20,hand saw',
  });
  const typed: Project = {
    ...made,
    extras: [
      { ...emptyExtra('x'), name: 'Square', rule: 'count', amount: '1', price: 900, category: 'tools' },
    ],
  };
  const plan = firstPlan(planInput(typed, book));
  const atTill = projectMoney(typed, book, plan).total;
  expect([atTill, toolsToBuy(typed, book, plan)]).toEqual([400 + 2000 + 900, 2900]);
  const piece = inThePieceOfAll(typed, plan, book);
  expect(piece).toBeLessThanOrEqual(400);
  const found = costsOf(typed, { inPiece: piece, atTill, toolsToBuy: toolsToBuy(typed, book, plan) });
  expect(pricingAnalysis(typed, found).byMaterials).toBe(3 * 400);
});

import loadHighs from 'highs';
import fc from 'fast-check';
import { measure } from '../../project';
import { faultsOf, fromCsv, type Case } from '../../testing';
import { planInput } from '../input';
import { bestPlan } from '.';
import { solverOf, type Highs } from './highs';
import { fullPatterns } from './patterns';
import type { SolveProgram } from './types';
import type { Plan } from '../types';

let solve: SolveProgram;
beforeAll(async () => {
  solve = solverOf((await loadHighs()) as unknown as Highs);
});

const best = (given: Case, seconds = 20): Plan => {
  const { project, book } = fromCsv(given);
  const plan = bestPlan(planInput(project, book), solve, seconds);
  expect(faultsOf(given, plan)).toEqual([]);
  return plan;
};
const noKerf = { unit: 'mm' as const, settings: { kerf: measure('0mm', 'mm') } };
const lengths = (demands: string, stock: number): Case => ({
  ...noKerf,
  parts: `part,qty,section,length\n${demands.split(' ').map((demand, index) => `p${index},${demand.replace('x', ',30x90mm,')}`).join('\n')}`,
  prices: `store,section,length,material,price\nYard,30x90mm,${stock},pine,1`,
}); // prettier-ignore

describe('published cases', () => {
  test('paper rolls of 5600 mm, 13 widths: 73 rolls and no fewer (method of Gilmore and Gomory 1961, 1965)', () => {
    const rolls = '22x1380 25x1520 12x1560 14x1710 18x1820 18x1880 20x1930 10x2000 12x2050 14x2100 16x2140 18x2150 20x2200'; // prettier-ignore
    const plan = best(lengths(rolls, 5600));
    expect([plan.status, plan.total]).toEqual(['proved', 7300]);
  });

  test('Chvatal, Linear Programming, ch. 13: raws of 100 in for 97 x 45, 610 x 36, 395 x 31, 211 x 14: 453', () => {
    const plan = best(lengths('97x450 610x360 395x310 211x140', 1000));
    expect([plan.status, plan.total]).toEqual(['proved', 45300]);
  });
});

describe('the whole purchase', () => {
  const list: Case = {
    parts: 'part,kind,qty,section,length,item\na,,7,2x4,31,\nb,,9,2x4,22 1/2,\nc,,4,1x4,40,\nS,hardware,130,,,screws',
    prices:
      'store,item,kind,section,length,material,price,unit,pack,min_qty,available\n' +
      "Yard,,,2x4,8',stud,3.98,,,1,\nYard,,,2x4,10',stud,4.80,,,1,\nMill,,,2x4,8',stud,3.2,,,1,\nMill,,,1x4,8',stud,2.9,,,1,\n" +
      "Yard,,,1x4,8',stud,3.2,,,1,\nYard,screws,hardware,,,,6,pack,50,1,\nYard,screws,hardware,,,,10,pack,100,1,\n" +
      'Mill,screws,hardware,,,,5.2,pack,50,3,\nPost,screws,hardware,,,,2,pack,50,1,',
    stores: { Yard: { trip: 420, discount: 0.05 }, Mill: { trip: 650 }, Post: { shipping: { fee: 895, freeFrom: 4900 } } },
    settings: { tax: 0.07 },
  }; // prettier-ignore

  test('stores, trips, discount, tax, packs and tiers in one program, rounded as the till does', () => {
    const plan = best(list);
    expect([plan.status, plan.total, plan.lowerBound]).toEqual(['proved', 4476, 4476]);
  });

  test('what a store has caps it; what is owned is used; spares come on top of what is proved', () => {
    const capped = best({ ...list, prices: list.prices.replace("8',stud,3.2,,,1,", "8',stud,3.2,,,1,2") });
    expect(capped.total).toBeGreaterThanOrEqual(4476);
    const spared = best({ ...list, settings: { ...list.settings, spare: { stud: 0.2 } } });
    expect(spared.status).toBe('proved');
    expect(spared.total).toBeGreaterThan(spared.lowerBound);
    expect(spared.buys.some(({ kind, spare }) => kind === 'board' && spare > 0)).toBe(true);
  });

  test('what it does not reckon with is never called proved', () => {
    const slanted = { ...list, parts: list.parts.replace('item\na,,7,2x4,31,', 'item,ends\na,,7,2x4,31,,mitre 45') }; // prettier-ignore
    expect(best(slanted).status).toBe('bounded');
    expect(best({ ...list, settings: { ...list.settings, tools: ['table-saw'] } }).status).toBe('bounded');
    expect(best({ ...list, settings: { ...list.settings, maxCarryLength: measure('100', 'in') } }).status).toBe('bounded'); // prettier-ignore
  });

  test('doubling all prices doubles the goods, and the order of rows does not matter', () => {
    const [head = '', ...rows] = list.prices.split('\n');
    const dear = rows.map((row) => row.split(',').map((cell, index) => (index === 6 ? String(Number(cell) * 2) : cell)).join(',')); // prettier-ignore
    const without = { ...list, stores: {} };
    expect(best({ ...without, prices: [head, ...dear].join('\n') }).goods).toBe(2 * best(without).goods);
    expect(best({ ...list, prices: [head, ...rows.reverse()].join('\n') }).total).toBe(4476);
  });
});

const demand = fc.record({ qty: fc.integer({ min: 1, max: 5 }), eighths: fc.integer({ min: 8 * 8, max: 90 * 8 }) }); // prettier-ignore
const caseOf = (list: { qty: number; eighths: number }[], more: string[] = []): Case => ({
  parts: `part,qty,section,length\n${list.map(({ qty, eighths }, index) => `p${index},${qty},2x4,${Math.floor(eighths / 8)} ${eighths % 8}/8`).join('\n')}`,
  prices: ["store,section,length,material,price\nYard,2x4,8',stud,3.98\nYard,2x4,12',stud,5.60", ...more].join('\n'),
  settings: { tax: 0.0825 },
}); // prettier-ignore

describe('laws', () => {
  test('a plan is never above the first, never below its bound, and another offer never makes it dearer', () => {
    fc.assert(
      fc.property(fc.array(demand, { minLength: 1, maxLength: 6 }), fc.integer({ min: 200, max: 700 }), (list, cents) => {
        const plan = best(caseOf(list));
        const more = best(caseOf(list, [`Mill,2x4,10',stud,${(cents / 100).toFixed(2)}`]));
        expect(plan.status).toBe('proved');
        expect(more.total).toBeLessThanOrEqual(plan.total);
        expect(plan.lowerBound).toBe(plan.total);
      }),
      { numRuns: 25 },
    ); // prettier-ignore
  });

  test('boards cut up at random without waste: never more than those boards', () => {
    const piecesOf = (cuts: number[]): number[] => [...cuts, 2400].map((at, index) => at - (cuts[index - 1] ?? 0)).filter((length) => length > 0); // prettier-ignore
    const board = fc.uniqueArray(fc.integer({ min: 1, max: 23 }), { maxLength: 3 }).map((cuts) => piecesOf(cuts.map((cut) => cut * 100).sort((a, b) => a - b))); // prettier-ignore
    fc.assert(
      fc.property(fc.array(board, { minLength: 1, maxLength: 5 }), (boards) => {
        const plan = best(lengths(boards.flat().map((length) => `1x${length}`).join(' '), 2400));
        expect([plan.status, plan.total]).toEqual(['proved', boards.length * 100]);
      }),
      { numRuns: 25 },
    ); // prettier-ignore
  });

  test('full patterns hold no room for one piece more, and are all there: counted by hand', () => {
    const type = (size: number, count: number) => ({ size, demand: count, pieces: [], materials: [] });
    const stock = { stock: { length: 10, width: 1, owned: [], ownedCount: 0, offers: [], price: 1 }, material: 'pine', room: 10 }; // prettier-ignore
    // Of 5 and 3 on 10: two fives; one five and one three; three threes.
    expect(fullPatterns(stock, [type(5, 9), type(3, 9)], 100)?.map(({ counts }) => counts)).toEqual([[[0, 2]], [[0, 1], [1, 1]], [[1, 3]]]); // prettier-ignore
    // With one five wanted, and two threes.
    expect(fullPatterns(stock, [type(5, 1), type(3, 2)], 100)).toHaveLength(2);
    expect(fullPatterns(stock, [type(5, 9), type(3, 9)], 2)).toBeNull();
  });
});

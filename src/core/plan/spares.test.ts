import loadHighs from 'highs';
import fc from 'fast-check';
import { purchaseLine } from '../budget';
import { solverOf, type Highs, type Solver } from '../cutting/solver';
import { measure, type Project, type Purchase } from '../project';
import { faultsOf, fromCsv, type Case } from '../testing';
import { againstProject, planInput } from '.';
import { bestPlan, checkPlan, firstPlan } from './planner';

const given = fromCsv({
  parts: 'part,qty,section,length\nPost,7,2x4,90\nBeam,3,2x4,115',
  prices: "store,section,length,material,price\nYard,2x4,8',stud,4\nYard,2x4,10',stud,5.4",
  settings: { spare: { stud: 0.1 } },
});
const bought = (project: Project, name: string, quantity: number): Project => {
  const price = Object.values(given.book.prices).find(({ item }) => item.name === name);
  if (!price) throw new Error(name);
  const line = purchaseLine(
    price.item,
    1,
    quantity,
    400 * quantity,
    { taxFree: true },
    project.settings,
    'USD',
  );
  const purchase: Purchase = {
    id: name,
    date: '2026-11-25',
    storeId: price.storeId,
    store: 'Yard',
    note: '',
    lines: [line],
  };
  return { ...project, purchases: [...project.purchases, purchase] };
};
const buys = (project: Project) => {
  const plan = firstPlan(planInput(project, given.book));
  expect(checkPlan(plan, againstProject(project, given.book))).toEqual([]);
  return plan.buys.map(({ item, qty, spare }) => [item, qty, spare]);
};

test('spares are for all boards, however many trips they are bought on', () => {
  // Ten boards, a tenth of them spare: one, in the longest length.
  expect(buys(given.project)).toEqual([
    ['2x4x10 stud', 4, 1],
    ['2x4x8 stud', 7, 0],
  ]);
  const numbers = (project: Project) => buys(project).map(([item, qty]) => [item, qty]);
  // The long ones bought, the spare among them: as many are still to buy as there were.
  expect(numbers(bought(given.project, '2x4x10 stud', 4))).toEqual([['2x4x8 stud', 7]]);
  // The long ones bought without it: it is still to come.
  expect(numbers(bought(given.project, '2x4x10 stud', 3))).toEqual([['2x4x8 stud', 8]]);
  expect(numbers(bought(bought(given.project, '2x4x10 stud', 4), '2x4x8 stud', 7))).toEqual([]);
});

test('where the boards that are cut are sold out, spares are of others, at the stores that are gone to first', () => {
  const short = fromCsv({
    parts: 'part,qty,section,length\nPost,7,2x4,90',
    prices:
      "store,section,length,material,price,available\nYard,2x4,8',stud,4,7\nMill,2x4,10',stud,5.4,\nYard,2x4,12',stud,9,",
    settings: { spare: { stud: 0.1 } },
  });
  const plan = firstPlan(planInput(short.project, short.book));
  expect(checkPlan(plan, againstProject(short.project, short.book))).toEqual([]);
  expect(plan.buys.map(({ item, qty, spare }) => [item, qty, spare])).toEqual([
    ['2x4x12 stud', 1, 1],
    ['2x4x8 stud', 7, 0],
  ]);
});

describe('spares are part of what is minimised and proved', () => {
  let solver: Solver;
  beforeAll(async () => {
    solver = solverOf((await loadHighs()) as unknown as Highs);
  });

  /** A list of pieces from boards of one section at one store: lengths in mm, prices in cents. */
  interface Small {
    pieces: number[];
    boards: { length: number; price: number }[];
    share: number;
  }

  const small = fc.record<Small>({
    pieces: fc.array(fc.integer({ min: 300, max: 2200 }), { minLength: 1, maxLength: 7 }),
    boards: fc
      .uniqueArray(fc.constantFrom(2400, 3000, 3600, 4200), { minLength: 1, maxLength: 3 })
      .chain((lengths) =>
        fc.tuple(
          ...lengths.map((length) => fc.integer({ min: 200, max: 900 }).map((price) => ({ length, price }))),
        ),
      ),
    share: fc.constantFrom(0.05, 0.1, 0.25, 0.5, 1),
  });

  /** The least that any packing costs with its spares, by trying all: each piece on a board that is begun, or on a new one. */
  const leastByTrying = ({ pieces, boards, share }: Small): number => {
    const sorted = [...pieces].sort((a, b) => b - a);
    let least = Infinity;
    const cost = (lengths: number[]): number => {
      const spares = Math.ceil(lengths.length * share - 1e-9);
      const longest = Math.max(...lengths);
      const priceOf = (length: number) => boards.find((board) => board.length === length)?.price ?? 0;
      const cut = lengths.reduce((sum, length) => sum + priceOf(length), 0);
      // A spare of a longer length still is the longest that is bought.
      const spare = Math.min(...boards.filter(({ length }) => length >= longest).map(({ price }) => price));
      return cut + spares * spare;
    };
    const put = (at: number, begun: { length: number; left: number }[]): void => {
      const size = sorted[at];
      if (size === undefined) {
        least = Math.min(least, cost(begun.map(({ length }) => length)));
        return;
      }
      const seen = new Set<string>();
      for (const board of begun) {
        const key = `${board.length} ${board.left}`;
        if (board.left < size || seen.has(key)) continue;
        seen.add(key);
        board.left -= size;
        put(at + 1, begun);
        board.left += size;
      }
      for (const { length } of boards)
        if (length >= size) put(at + 1, [...begun, { length, left: length - size }]);
    };
    put(0, []);
    return least;
  };

  test('where any of a length may run out, a spare of another length will do, and is proved', () => {
    const given: Case = {
      parts: 'part,qty,section,length\nPost,1,2x4,130',
      prices:
        "store,section,length,material,price,unusable,available\nYard,2x4,8',stud,4,,\nYard,2x4,12',stud,9,,\nMill,2x4,12',stud,8.9,20in,5",
      settings: { spare: { stud: 0.1 } },
    };
    const { project, book } = fromCsv(given);
    const plan = bestPlan(planInput(project, book), solver, 20);
    expect(faultsOf(given, plan)).toEqual([]);
    expect([plan.status, plan.total]).toEqual(['proved', 1300]);
  });

  test('the plan is proved, and no packing with its spares costs less', () => {
    fc.assert(
      fc.property(small, (list) => {
        const case_: Case = {
          unit: 'mm',
          parts: `part,qty,section,length\n${list.pieces.map((length, index) => `p${index},1,30x90mm,${length}`).join('\n')}`,
          prices: `store,section,length,material,price\n${list.boards
            .map(({ length, price }) => `Yard,30x90mm,${length},pine,${(price / 100).toFixed(2)}`)
            .join('\n')}`,
          settings: { kerf: measure('0mm', 'mm'), spare: { pine: list.share } },
        };
        const { project, book } = fromCsv(case_);
        const plan = bestPlan(planInput(project, book), solver, 20);
        expect(faultsOf(case_, plan)).toEqual([]);
        const isPossible = Math.max(...list.pieces) <= Math.max(...list.boards.map(({ length }) => length));
        if (!isPossible) return expect(plan.status).toBe('infeasible');
        expect([plan.status, plan.total]).toEqual(['proved', leastByTrying(list)]);
      }),
      { numRuns: 40 },
    );
  });
});

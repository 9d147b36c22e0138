import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { readProjectFile } from '../io';
import { planInput } from '../plan';
import { firstPlan } from '../plan/planner';
import { emptyExtra, withRecordedCharges, type Book, type Project } from '../project';
import { randomList } from '../plan/randomList';
import { fromCsv, must } from '../testing';
import { firstBaseline } from './baseline';
import { purchaseLine } from './purchase';
import {
  explainBuy,
  explainLeft,
  explainTotal,
  explainVerdict,
  explanationText,
  type Explanation,
} from './explain';
import { costsNow, explainAllIn, explainGroup, explainInPiece } from './explainCosts';
import { ledgerOf, totalsBy } from './ledger';
import { projectMoney } from './money';

/** The leaves of an explanation, from the first. */
const leavesOfExplanation = (explanation: Explanation): Explanation[] =>
  explanation.parts.length === 0 ? [explanation] : explanation.parts.flatMap(leavesOfExplanation);

const expectWhole = (explanation: Explanation | null): void => {
  if (!explanation || explanation.parts.length === 0) return;
  const sum = explanation.parts.reduce((all, part) => all + part.sum, 0);
  expect([explanation.label, sum]).toEqual([explanation.label, explanation.sum]);
  explanation.parts.forEach(expectWhole);
};

const expectTrue = (project: Project, book: Book): void => {
  const plan = firstPlan(planInput(project, book));
  const money = projectMoney(project, book, plan);
  const total = explainTotal(project, book, plan);
  expect(total.sum).toBe(money.total);
  expect(total.parts.map(({ label, sum }) => [label, sum])).toEqual([
    ['Spent', money.spent],
    ['To buy', money.toBuy],
  ]);
  expect(leavesOfExplanation(total).reduce((sum, one) => sum + one.sum, 0)).toBe(money.total);
  expectWhole(total);
  const costs = costsNow(project, book, plan);
  for (const [explained, sum] of [
    [explainInPiece(project, book, plan), costs.inPiece],
    [explainAllIn(project, book, plan), costs.allIn],
  ] as const) {
    expect([explained.label, explained.sum]).toEqual([explained.label, sum]);
    expectWhole(explained);
  }
  const entries = ledgerOf(project);
  for (const { key, paid } of totalsBy(entries, 'store'))
    expect(explainGroup(entries, 'store', key).sum).toBe(paid);
  const left = explainLeft(project, book, plan);
  expect(left?.sum ?? null).toBe(money.left);
  expectWhole(left);
};

test.each(['compost-station', 'record-shelf', 'sandpit'])(
  'every sum of %s is the sum of its parts, to the cent',
  (name) => {
    const { project, book } = must(readProjectFile(readFileSync(`demo/${name}.billet.json`, 'utf8'), name));
    expectTrue(project, book);
    expectTrue({ ...project, builds: 2, target: null }, book);
    const work = {
      hours: 3,
      rate: 1500,
      beside: 700,
      travel: { distance: 12, unit: 'km' as const, rate: 30 },
    };
    const tools = [{ id: 't', name: 'Saw', price: 9000, charge: { way: 'spread' as const, over: 4 } }];
    expectTrue({ ...project, work: { ...work, tools } }, book);
  },
);

test('the leaves of an explanation add up to the figure on lists of every kind, some of it bought', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 100_000 }),
      fc.boolean(),
      fc.integer({ min: 0, max: 3 }),
      (seed, hasTyped, taken) => {
        const given = fromCsv(randomList(seed));
        const plan = firstPlan(planInput(given.project, given.book));
        const buys = (plan.rest ?? plan).buys.slice(0, taken);
        const purchases = buys.map((buy, index) => {
          const price = Object.values(given.book.prices).find(({ storeId }) => storeId === buy.storeId);
          const item = { ...(price?.item as NonNullable<typeof price>['item']), name: buy.item };
          const store = given.book.stores[buy.storeId] ?? { taxFree: false };
          return {
            id: `p${index}`,
            date: '2026-11-20',
            storeId: buy.storeId,
            store: buy.store,
            note: '',
            lines: [
              purchaseLine(item, buy.pack, buy.qty, buy.costWithTax, store, given.project.settings, 'USD'),
            ],
          };
        });
        const project = withRecordedCharges(
          {
            ...given.project,
            target: 20_000,
            budget: { reserve: 0.1, isEach: false, date: null },
            purchases,
            ...firstBaseline(given.project, given.book, plan, '2026-11-20'),
            extras: hasTyped
              ? [{ ...emptyExtra('x'), name: 'Felt', rule: 'count', amount: '3', price: 333 }]
              : [],
          } as Project,
          given.book.stores,
        );
        expectTrue(project, given.book);
      },
    ),
    { numRuns: 60 },
  );
});

test('a line goes down to the shelf tag: its price, unit, day and where that is from', () => {
  const { project, book } = fromCsv({
    parts: 'part,qty,section,length\nPost,6,2x4,90',
    prices: "store,section,length,material,price,unit,date\nYard,2x4,8',stud,0.65,ft,2026-11-03",
    settings: { tax: 0.08 },
  });
  const plan = firstPlan(planInput(project, book));
  const [buy] = plan.buys;
  const said = buy ? explainBuy(buy, book, 'USD') : null;
  expect(said).toMatchObject({ label: '6 × 2x4x8 stud', sum: 3370 });
  expect(said?.note).toBe(
    '6 at $5.20: $31.20 on the shelf. The tag says $0.65 a foot. Seen 3 Nov 2026, from a file.',
  );
  expect(explanationText(explainTotal(project, book, plan), 'USD').slice(0, 5)).toEqual([
    '$33.70  In all',
    '  $0.00  Spent (Nothing was bought yet.)',
    '  $33.70  To buy',
    '    $33.70  Yard (8 % tax is in each line. Cents are shared among the lines so that they add up to the receipt.)',
    `      $33.70  6 × 2x4x8 stud (${said?.note})`,
  ]);
});

test('a verdict says its bound, its rules and what was left out', () => {
  const { project, book } = fromCsv({
    parts: 'part,qty,section,length,kind,item\nPost,6,2x4,90,,\nHook,3,,,hardware,hook',
    prices: "store,section,length,material,price\nYard,2x4,8',stud,4",
  });
  const plan = firstPlan(planInput(project, book));
  const said = explainVerdict(plan).join('\n');
  expect(said).toMatch(/^This plan costs \$24\.00\. No plan can cost less than \$[\d.]+\./);
  expect(said).toMatch(/Left out.*\nHook: no price for hook/);
});

import loadHighs from 'highs';
import { projectMoney } from '../budget';
import { planInput, planKey, shownPlan, type Plan } from '../plan';
import { bestPlan, solverOf, type Highs, type Solver } from '../plan/planner';
import type { Book, Project } from '../project';
import { fromCsv } from '../testing';
import { generatedProject } from './generatedProject';
import { bookIf, hasFallen, scenarioWords, whatIf, type Scenario } from '.';

let solver: Solver;
beforeAll(async () => {
  solver = solverOf((await loadHighs()) as unknown as Highs);
});
const planWith = (project: Project, book: Book): Plan => bestPlan(planInput(project, book), solver, 0.5);

/** Without thresholds, above which dearer goods bring a gift. */
const withoutGifts = (book: Book): Book => ({
  ...book,
  stores: Object.fromEntries(
    Object.values(book.stores).map((store) => [store.id, { ...store, shipping: null }]),
  ),
});
const wood = (share: number): Scenario => ({ kind: 'moves', what: { kind: 'wood' }, share });

test.each(Array.from({ length: 16 }, (_, index) => 9_300 + index * 7))(
  'seed %d: dearer wood costs more, and never more than today’s plan at those prices; at no rise nothing changes',
  (seed) => {
    const { project, book: generated } = generatedProject(seed);
    const book = withoutGifts(generated);
    const base = planWith(project, book);
    const shown = shownPlan(base);
    if (!shown || shown.status !== 'proved') return;
    const now = projectMoney(project, book, base).total;
    expect(planKey(planInput(project, bookIf(wood(0), project, book, base)))).toBe(
      planKey(planInput(project, book)),
    );
    const bought = shown.buys.filter(({ kind }) => kind !== 'hardware');
    const paid = bought.reduce((sum, { costWithTax }) => sum + costWithTax, 0);
    // Each line, each store's tax and the sum itself may round by a cent.
    const cents = bought.length + 2 * shown.stores.length + 2;
    for (const share of [0.1, 0.5]) {
      const found = whatIf(wood(share), project, book, base, planWith);
      if (!found?.isProved) continue;
      expect(found.total).toBeGreaterThanOrEqual(now - cents);
      expect(found.total).toBeLessThanOrEqual(now + Math.ceil(paid * share) + cents);
    }
  },
);

const yards = (): { project: Project; book: Book } =>
  fromCsv({
    parts: 'part,kind,qty,section,length,material\nRail,board,4,2x4,46in,stud\nHook,hardware,2,,,',
    prices: [
      'store,kind,section,length,material,price,date,item',
      'Hill Yard,board,2x4,8ft,stud,6.00,2026-03-01,',
      'Hill Yard,board,2x4,8ft,stud,4.00,2026-05-01,',
      'Quay Store,board,2x4,8ft,stud,4.20,2026-05-01,',
      'Quay Store,hardware,,,,3.00,2026-05-01,Hook',
    ].join('\n'),
    settings: { tax: 0 },
  });

test('the plan is made anew: a dearer store is left, a dearer thing is bought elsewhere, a trip is saved', () => {
  const { project, book } = yards();
  const plan = planWith(project, book);
  const store = (name: string) => Object.values(book.stores).find((one) => one.name === name)?.id ?? '';
  const total = projectMoney(project, book, plan).total;
  expect(total).toBe(2 * 400 + 2 * 300);
  const ask = (scenario: Scenario) => whatIf(scenario, project, book, plan, planWith);
  // Ten percent more there would be 8.80: the other store has it for 8.40.
  expect(
    ask({ kind: 'moves', what: { kind: 'store', storeId: store('Hill Yard') }, share: 0.1 }),
  ).toMatchObject({
    total: 840 + 600,
    isProved: true,
    otherwise: 'the same is bought, elsewhere.',
  });
  expect(ask({ kind: 'moves', what: { kind: 'hardware' }, share: 0.5 })).toMatchObject({
    total: total + 300,
    otherwise: '',
  });
  expect(ask({ kind: 'moves', what: { kind: 'item', item: 'hook' }, share: -0.5 })).toMatchObject({
    total: total - 300,
  });
  // What fell from 6.00 to 4.00 was dearer than the other.
  expect(hasFallen(plan, book)).toBe(true);
  expect(ask({ kind: 'as before' })).toMatchObject({ total: 840 + 600 });
  // One trip is needed for the hooks anyway.
  expect(ask({ kind: 'trip', storeId: store('Hill Yard'), sum: 500 })).toMatchObject({ total: 840 + 600 });
  expect(ask({ kind: 'shipping', storeId: store('Quay Store'), sum: 500 })).toMatchObject({
    total: total + 500,
    otherwise: '',
  });
});

test('only what a scenario names is another price, and it is said in words', () => {
  const { project, book } = yards();
  const changed = bookIf(
    { kind: 'moves', what: { kind: 'item', item: 'Hook' }, share: 1 },
    project,
    book,
    null,
  );
  const moved = Object.values(book.prices).filter(({ id, price }) => changed.prices[id]?.price !== price);
  expect(moved.map(({ item }) => item.name)).toEqual(['Hook']);
  expect(changed.stores).toBe(book.stores);
  const words = (scenario: Scenario) => scenarioWords(scenario, book, project);
  expect(words(wood(0.1))).toBe('Wood and sheets 10 % dearer');
  expect(words(wood(-0.125))).toBe('Wood and sheets 12.5 % cheaper');
  const [hill] = Object.values(book.stores);
  expect(words({ kind: 'trip', storeId: hill?.id ?? '', sum: 500 })).toBe(
    `Going to ${hill?.name} costs $5.00`,
  );
  // A store that is gone, or sells in other money, changes nothing.
  expect(bookIf({ kind: 'trip', storeId: 'gone', sum: 1 }, project, book, null)).toBe(book);
});

test('what is bought otherwise is told in pieces, however they are packed', () => {
  const { project, book } = fromCsv({
    parts: 'part,kind,qty,section,length\nBracket,hardware,4,,',
    prices:
      'store,kind,price,item,pack\nPostbox,hardware,4.00,Bracket,4\nQuay Store,hardware,1.20,Bracket,1\nQuay Store,hardware,9.00,Bracket,10',
  });
  const plan = planWith(project, book);
  const postbox = Object.values(book.stores).find(({ name }) => name === 'Postbox')?.id ?? '';
  const ask = (share: number) =>
    whatIf(
      { kind: 'moves', what: { kind: 'store', storeId: postbox }, share },
      project,
      book,
      plan,
      planWith,
    );
  // Four singles instead of a pack of four: no bracket more.
  expect(ask(0.5)).toMatchObject({ otherwise: 'the same is bought, elsewhere.' });
});

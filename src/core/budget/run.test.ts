import fc from 'fast-check';
import { againstProject, planInput, shownPlan, type Plan, type PreviousPlan } from '../plan';
import { checkedPlan, checkPlan, firstPlan } from '../plan/planner';
import {
  apply,
  applyToBook,
  emptyExtra,
  undo,
  emptyHistory,
  remember,
  type Book,
  type Command,
  type History,
  type Project,
} from '../project';
import { reportOf } from '../io';
import { fromCsv } from '../testing';
import {
  baselineOf,
  typedPriceLines,
  byCategory,
  cartLine,
  cartOf,
  chargesFor,
  differencesOf,
  ledgerOf,
  lineChange,
  lineCost,
  needlessOf,
  paidFor,
  projectMoney,
  reasonsOf,
  refundFor,
  runLines,
  takeBack,
  totalsBy,
} from '.';

/** Boards, a sheet, two kinds of hardware and a typed thing; three stores that ask for their trips otherwise. */
const given = () => {
  const { project, book } = fromCsv({
    parts:
      'part,qty,section,length,kind,item,width\nPost,7,2x4,40,,,\nRail,5,2x4,58 1/2,,,\nSlat,9,1x6,30,,,\nShelf,2,3/4in,24,sheet,,20\nScrew,130,,,hardware,screws,\nHinge,4,,,hardware,hinge,',
    prices:
      "store,section,length,material,price,kind,item,pack,width\nYard,2x4,8',stud,4,,,,\nYard,2x4,10',stud,5.4,,,,\nYard,1x6,8',pine,4.4,,,,\nBarn,2x4,8',stud,4.3,,,,\nBarn,1x6,6',pine,3.1,,,,\nYard,3/4in,8',ply,41,sheet,,,4'\nBarn,3/4in,4',ply,26,sheet,,,4'\nBarn,,,,9,hardware,screws,100,\nPost,,,,5.5,hardware,screws,50,\nPost,,,,2.45,hardware,hinge,1,\nYard,,,,6.9,hardware,hinge,2,",
    settings: { tax: 0.0775, spare: { stud: 0.1 } },
    stores: { Yard: { trip: 420 }, Barn: { trip: 300 }, Post: { shipping: { fee: 595, freeFrom: 2500 } } },
  });
  return {
    project: {
      ...project,
      extras: [
        { ...emptyExtra('hire'), name: 'drill hire', amount: '1', price: 1501, category: 'tools' as const },
      ],
    },
    book,
  };
};

interface State {
  project: Project;
  book: Book;
  history: History;
  last: PreviousPlan | null;
}

const planned = ({ project, book, last }: State): Plan =>
  checkedPlan(planInput(project, book), againstProject(project, book), last);

/** One thing that a person does, and how: numbers are taken round what there is. */
interface Step {
  act: 'tick' | 'fewer' | 'dearer' | 'gone' | 'back' | 'pay' | 'more';
  store: number;
  line: number;
  more: number;
}

const change = (state: State, command: Command | null): State => {
  const result = command && apply(state.project, command, 0);
  return result
    ? { ...state, project: result.document, history: remember(state.history, result.change) }
    : state;
};

const seen = (
  state: State,
  offerKey: string,
  fields: { price?: number; available: number | null },
): State => {
  const price = Object.values(state.book.prices).find(
    (one) => one.storeId && offerKey.includes(one.storeId) && one.id === newestId(state.book, offerKey),
  );
  const result =
    price &&
    applyToBook(
      state.book,
      {
        type: 'putPrices',
        prices: [
          { ...price, ...fields, id: `seen${Object.keys(state.book.prices).length}`, date: '2026-11-25' },
        ],
      },
      0,
    );
  return result ? { ...state, book: result.document } : state;
};

const newestId = (book: Book, offerKey: string): string | undefined =>
  planInput(given().project, book).offers.find(({ key }) => key === offerKey)?.tiers[0]?.price.id;

const after = (state: State, { act, store, line: at, more }: Step): State => {
  const { project, book } = state;
  const stores = Object.values(book.stores);
  const where = stores[store % stores.length];
  if (!where) return state;
  const plan = planned(state);
  const lines = runLines(project, book, plan, where.id);
  const line = lines[at % Math.max(1, lines.length)];
  const cart = cartOf(project, where.id);
  const put = (quantity: number, paid: number): State => {
    if (!line) return state;
    const lineOf = {
      ...cartLine(line, quantity, paid, where, project),
      ...(line.offerKey === '' ? { item: line.item } : {}),
    };
    return change(state, {
      type: 'addToCart',
      cart: {
        id: `cart${project.purchases.length}`,
        date: '2026-11-25',
        storeId: where.id,
        store: where.name,
      },
      lines: [lineOf],
      charges: chargesFor(project, book, plan, { storeId: where.id, lines: [lineOf] }),
    });
  };
  if (act === 'tick') return line ? put(line.quantity, line.paid) : state;
  if (act === 'more')
    return line
      ? put(line.quantity + (more % 3), lineCost(line, line.quantity + (more % 3), { project, book }))
      : state;
  if (act === 'fewer')
    return line && line.quantity > 1
      ? put(line.quantity - 1, lineCost(line, line.quantity - 1, { project, book }))
      : state;
  if (act === 'dearer') return line ? put(line.quantity, line.paid + more) : state;
  if (act === 'gone') return line ? seen(state, line.offerKey, { available: 0 }) : state;
  if (act === 'pay') {
    if (!cart) return state;
    const total = cart.lines.reduce((sum, { price, tax }) => sum + price + tax, 0) + (more % 7) - 3;
    return change(state, {
      type: 'payCart',
      purchaseId: cart.id,
      ...(more % 2 ? { receipt: { total, tax: null } } : {}),
    });
  }
  return oneBack(state, at);
};

const oneBack = (state: State, at: number): State => {
  const { purchases } = state.project;
  const bought = purchases[at % Math.max(1, purchases.length)];
  const back = bought?.lines[0];
  if (!bought || !back || (back.returned ?? []).length > 0) return state;
  const after = takeBack(bought, 0, {
    id: 'r',
    date: '2026-11-26',
    quantity: 1,
    refund: refundFor(back, 1),
  });
  return change(state, lineChange(bought, 0, after)[0] ?? null);
};

const steps = fc.array(
  fc.record({
    act: fc.constantFrom<Step['act']>('tick', 'tick', 'fewer', 'more', 'dearer', 'gone', 'back', 'pay'),
    store: fc.nat(2),
    line: fc.nat(6),
    more: fc.nat(500),
  }),
  { minLength: 1, maxLength: 10 },
);

test('whatever happens in the stores: the plan for the rest holds, and every sum of money is of one piece', () => {
  const start = given();
  const first = firstPlan(planInput(start.project, start.book));
  const project = { ...start.project, baseline: baselineOf(start.project, start.book, first, '2026-11-24') };
  const atFirst = projectMoney(start.project, start.book, first).total;
  fc.assert(
    fc.property(steps, (doings) => {
      let state: State = { project, book: start.book, history: emptyHistory(), last: null };
      for (const doing of doings) {
        state = after(state, doing);
        const plan = planned(state);
        state = { ...state, last: { plan, input: planInput(state.project, state.book) } };
        const shown = shownPlan(plan);
        if (shown && plan.status !== 'infeasible')
          expect(checkPlan(shown, againstProject(state.project, state.book))).toEqual([]);
        const money = projectMoney(state.project, state.book, plan);
        const entries = ledgerOf(state.project);
        // In integers without limit, in another order.
        const sum = [...entries]
          .reverse()
          .reduce((all, entry) => all + BigInt(entry.price) + BigInt(entry.tax), 0n);
        expect(BigInt(money.spent)).toBe(sum);
        for (const grouping of ['category', 'store', 'month', 'item'] as const)
          expect(totalsBy(entries, grouping).reduce((all, { paid }) => all + paid, 0)).toBe(money.spent);
        const byKind = byCategory(entries, plan, typedPriceLines(state.project, state.book));
        expect(byKind.reduce((all, { toBuy }) => all + toBuy, 0)).toBe(money.toBuy);
        expect(byKind.reduce((all, { spent }) => all + spent, 0)).toBe(money.spent);
        const differences = differencesOf(state.project, state.book, plan);
        const more = differences.reduce(
          (all, one) => all + one.priceVariance + one.quantityVariance + one.forgotten,
          0,
        );
        expect(more).toBe(money.total - atFirst);
        expect(reasonsOf(differences, 'USD', 'in').reduce((all, reason) => all + reason.sum, 0)).toBe(more);
        const report = reportOf(state.project, state.book, plan, '2026-11-26');
        const told = (title: string) =>
          report.sections.find((one) => one.title === title)?.rows.at(-1)?.sum ?? 0;
        expect([told('To buy'), told('Paid')]).toEqual([money.toBuy, money.spent]);
        expect(entries.every((entry) => Number.isInteger(paidFor(entry)))).toBe(true);
      }
      // All taken back, the project is what it was.
      let { project: document, history } = state;
      for (let back = undo(document, history); back; back = undo(document, history))
        ({ document: document, history } = back);
      expect(document).toEqual(project);
    }),
    { numRuns: 60 },
  );
});

test('ticking the whole list, in any order, costs what it was to cost, and nothing is left to take', () => {
  const { project, book } = given();
  fc.assert(
    fc.property(fc.array(fc.nat(20), { minLength: 12, maxLength: 12 }), (order) => {
      let state: State = { project, book, history: emptyHistory(), last: null };
      const before = projectMoney(project, book, planned(state)).total;
      for (const pick of [...order, ...Array.from({ length: 20 }, () => 0)]) {
        const plan = planned(state);
        state = { ...state, last: { plan, input: planInput(state.project, state.book) } };
        const open = Object.values(book.stores).flatMap(({ id }, store) =>
          runLines(state.project, book, plan, id).map((_, line) => ({ store, line })),
        );
        const next = open[pick % Math.max(1, open.length)];
        if (!next) break;
        state = after(state, { act: 'tick', more: 0, ...next });
      }
      const end = planned(state);
      expect(shownPlan(end)?.buys).toEqual([]);
      expect(needlessOf(state.project, end)).toEqual([]);
      // A cent for each store and line may be rounded otherwise.
      expect(projectMoney(state.project, book, end).total - before).toBeLessThanOrEqual(12);
    }),
    { numRuns: 25 },
  );
});

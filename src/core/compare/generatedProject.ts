import { firstPlan } from '../plan/planner';
import { itemOfBuy, purchaseLine, recordPurchase } from '../budget';
import { planInput, shownPlan } from '../plan';
import { randomFrom, randomList } from '../plan/randomList';
import {
  applyToBook,
  apply,
  emptyExtra,
  emptyPart,
  isBookCommand,
  type Book,
  type Command,
  type BookCommand,
  type Extra,
  type Group,
  type Project,
} from '../project';
import { fromCsv, type Case } from '../testing';

const EXPOSURES = ['indoors', 'damp', 'outdoors', 'ground'] as const;
const METRIC_SECTIONS = ['45x45mm', '45x95mm', '20x95mm', '28x120mm'];
const METRIC_WOODS = ['spruce', 'larch', 'treated pine'];

/** A list in millimetres from a seed: boards of a few sections, one or two stores, a trip. */
const metricList = (next: () => number): Case => {
  const whole = (from: number, to: number) => from + Math.floor(next() * (to - from + 1));
  const sections = METRIC_SECTIONS.slice(0, whole(1, 3));
  const parts = Array.from(
    { length: whole(2, 8) },
    (_, index) => `b${index},${whole(1, 8)},${sections[whole(0, sections.length - 1)]},${whole(150, 1900)}`,
  );
  const stores = ['Hof', 'Markt'].slice(0, whole(1, 2));
  const prices = stores.flatMap((store) =>
    sections.flatMap((section) =>
      METRIC_WOODS.slice(0, whole(1, 3)).flatMap((material) =>
        [2400, 3000, 4000]
          .slice(0, whole(1, 3))
          .map(
            (length) =>
              `${store},${section},${length},${material},${((length * whole(150, 500)) / 100_000).toFixed(2)}`,
          ),
      ),
    ),
  );
  return {
    unit: 'mm',
    currency: 'EUR',
    parts: `part,qty,section,length\n${parts.join('\n')}`,
    prices: `store,section,length,material,price\n${prices.join('\n')}`,
    settings: { tax: 0 },
    stores: Object.fromEntries(stores.map((name) => [name, { trip: whole(0, 1) * whole(100, 900) }])),
  };
};

/** Finishes whose price is typed, whose price is in no store, and a thing by count. */
const extrasFrom = (next: () => number, unit: Project['unit']): Extra[] => {
  const finish: Extra = {
    ...emptyExtra('finish'),
    name: 'Outdoor stain',
    rule: 'finish',
    coats: 2,
    covers: unit === 'in' ? '60 ft2' : '5 m2',
  };
  return [
    ...(next() < 0.3 ? [{ ...emptyExtra('felt'), name: 'Felt', amount: '2', price: 250 }] : []),
    ...(next() < 0.3 ? [next() < 0.5 ? { ...finish, price: 1899 } : finish] : []),
  ];
};

/**
 * For tests: a project from a seed, in inches or millimetres: two groups in different places, one or two built, materials open,
 * things that have a typed price and things that have none, and some of it bought.
 */
export const generatedProject = (seed: number): { project: Project; book: Book } => {
  const next = randomFrom(seed);
  const { project, book } = fromCsv(next() < 0.3 ? metricList(next) : randomList(seed));
  const [first] = project.groups;
  if (!first) throw new Error('no group');
  const parts = first.options[0]?.parts ?? [];
  const half = Math.ceil(parts.length / 2);
  const hook = { ...emptyPart('hook'), kind: 'hardware' as const, name: 'hook', quantity: 3 };
  const groupOf = (id: string, own: typeof parts): Group => ({
    ...first,
    id,
    name: id,
    exposure: EXPOSURES[Math.floor(next() * EXPOSURES.length)] ?? 'indoors',
    nearFood: next() < 0.2,
    options: [{ id: `${id}-way`, name: id, parts: own }],
    chosen: `${id}-way`,
  });
  const frame = parts.slice(0, half);
  const made: Project = {
    ...project,
    groups: [
      groupOf('Frame', next() < 0.3 ? [...frame, hook] : frame),
      groupOf('Shelves', parts.slice(half)),
    ].filter(({ options }) => (options[0]?.parts.length ?? 0) > 0),
    builds: next() < 0.3 ? 2 : 1,
    treatedNearFood: next() < 0.5 ? 'liner' : 'avoid',
    extras: extrasFrom(next, project.unit),
  };
  return next() < 0.3 ? boughtFrom(next, made, book) : { project: made, book };
};

/** The same once one thing of its list was bought, for a little more or less than it was to cost. */
const boughtFrom = (next: () => number, project: Project, book: Book): { project: Project; book: Book } => {
  const plan = firstPlan(planInput(project, book));
  const buys = shownPlan(plan)?.buys ?? [];
  const buy = buys[Math.floor(next() * buys.length)];
  const item = buy && itemOfBuy(buy, book);
  const store = buy && book.stores[buy.storeId];
  if (!buy || !item || !store) return { project, book };
  const paid = Math.round(buy.costWithTax * (0.8 + 0.4 * next()));
  const line = purchaseLine(item, buy.pack, buy.qty, paid, store, project.settings, project.currency);
  const purchase = {
    id: 'bought',
    storeId: store.id,
    store: store.name,
    date: '2026-11-20',
    note: '',
    lines: [line],
  };
  return recordPurchase(project, book, plan, purchase, '2026-11-20').reduce(done, { project, book });
};

const done = (
  { project, book }: { project: Project; book: Book },
  command: Command | BookCommand,
): { project: Project; book: Book } =>
  isBookCommand(command)
    ? { project, book: applyToBook(book, command, 0)?.document ?? book }
    : { project: apply(project, command, 0)?.document ?? project, book };

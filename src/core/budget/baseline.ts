import {
  formatLength,
  formatMoney,
  TICKS_PER_FOOT,
  TICKS_PER_METRE,
  type LengthUnit,
  type Minor,
} from '../units';
import { capital } from '../capital';
import { hardwareKey } from '../hardwareKey';
import { planCost, shownPlan, type Plan } from '../plan';
import {
  keptMoney,
  keptPieces,
  servesAs,
  tagName,
  type Baseline,
  type BaselineLine,
  type Book,
  type Category,
  type Item,
  type Project,
} from '../project';
import { nameKey } from '../lumber';
import { typedPriceLines } from './typedPriceLines';
import { ledgerOf, paidInAll } from './ledger';
import { categoryOf } from './purchase';
import { hardwareItem, itemOfBuy } from './run';

/** What a project is to buy and has bought, as it stands: the plan that what is paid will be held against. */
export const baselineOf = (project: Project, book: Book, plan: Plan | null, date: string): Baseline => {
  const { lines, trips } = standingOf(project, book, plan);
  return { date, lines, trips };
};

/** The baseline to keep with what is bought first; none where there is one. */
export const firstBaseline = (
  project: Project,
  book: Book,
  plan: Plan | null,
  date: string,
): { baseline?: Baseline } => (project.baseline ? {} : { baseline: baselineOf(project, book, plan, date) });

/** What was bought and what is still to buy, by thing. */
const standingOf = (
  project: Project,
  book: Book,
  plan: Plan | null,
): { lines: BaselineLine[]; trips: Minor; receipts: Minor } => {
  const bought = project.purchases
    .flatMap(({ lines }) => lines)
    .map((line): BaselineLine => ({
      item: servesAs(line),
      quantity: keptPieces(line),
      paid: keptMoney(line),
      category: line.category,
    }));
  const shown = shownPlan(plan);
  const planned = (shown?.buys ?? []).map((buy): BaselineLine => {
    const item = itemOfBuy(buy, book) ?? hardwareItem(buy.item);
    return {
      item,
      quantity: buy.qty * buy.pack,
      paid: buy.costWithTax,
      category: categoryOf({ kind: buy.kind, name: buy.item }),
    };
  });
  const beside = typedPriceLines(project, book).map(
    ({ item, quantity, costWithTax, category }): BaselineLine => ({
      item: hardwareItem(item),
      quantity,
      paid: costWithTax,
      category,
    }),
  );
  const rest = (shown ? planCost(shown) : 0) - planned.reduce((sum, { paid }) => sum + paid, 0);
  const paid = ledgerOf(project);
  const of = (kind: string) => paidInAll(paid.filter((entry) => entry.kind === kind));
  return { lines: [...bought, ...planned, ...beside], trips: rest + of('trip'), receipts: of('receipt') };
};

/** What was planned by category, as it stood: the lines, and trips with shipping. Empty without a baseline. */
export const plannedByCategory = ({ baseline }: Pick<Project, 'baseline'>): Map<Category, Minor> => {
  const sums = new Map<Category, Minor>();
  const add = (category: Category, sum: Minor) => sums.set(category, (sums.get(category) ?? 0) + sum);
  for (const { category, paid } of baseline?.lines ?? []) add(category, paid);
  if (baseline && baseline.trips !== 0) add('trips', baseline.trips);
  return sums;
};

/** How what is paid and will be paid for one thing differs from the plan. The three add up to all of the difference. */
export interface Difference {
  name: string;
  category: Category;
  kind: 'board' | 'sheet' | 'hardware' | 'trips' | 'receipt';
  planned: Minor;
  now: Minor;
  /** Each piece, foot or metre dearer or cheaper, for what is bought now. */
  priceVariance: Minor;
  /** More or fewer of it, at the planned price. */
  quantityVariance: Minor;
  /** It was not in the plan at all. */
  forgotten: Minor;
  /** What the quantities count: pieces, or of boards of several lengths their length in ticks. */
  per: 'piece' | 'length';
  plannedQuantity: number;
  nowQuantity: number;
}

/** Plan against paid and still to pay, by thing; boards of one section and material are one thing, by their length. */
export const differencesOf = (project: Project, book: Book, plan: Plan | null): Difference[] => {
  const { baseline } = project;
  if (!baseline) return [];
  const { lines, trips, receipts } = standingOf(project, book, plan);
  const was = sumUp(baseline.lines);
  const is = sumUp(lines);
  const things = [...new Set([...was.keys(), ...is.keys()])].flatMap((key): Difference[] => {
    const [before, now] = [was.get(key), is.get(key)];
    const known = now ?? before;
    return known ? [difference(known, before, now)] : [];
  });
  const flat = (
    name: string,
    kind: 'trips' | 'receipt',
    category: Category,
    planned: Minor,
    now: Minor,
  ): Difference[] =>
    planned === now
      ? []
      : [
          {
            name,
            kind,
            category,
            planned,
            now,
            priceVariance: now - planned,
            quantityVariance: 0,
            forgotten: 0,
            per: 'piece',
            plannedQuantity: 1,
            nowQuantity: 1,
          },
        ];
  return [
    ...things,
    ...flat('Trips and shipping', 'trips', 'trips', baseline.trips, trips),
    ...flat('Receipts', 'receipt', 'other', 0, receipts),
  ];
};

interface Sum {
  item: Item;
  category: Category;
  pieces: number;
  /** Of boards, in ticks. */
  length: number;
  paid: Minor;
  /** What it was sold as. */
  names: Set<string>;
}

const sumUp = (lines: BaselineLine[]): Map<string, Sum> => {
  const sums = new Map<string, Sum>();
  for (const { item, quantity, paid, category } of lines) {
    const key = thingKey(item);
    const held = sums.get(key) ?? { item, category, pieces: 0, length: 0, paid: 0, names: new Set<string>() };
    held.names.add(nameKey(tagName(item)));
    sums.set(key, {
      ...held,
      pieces: held.pieces + quantity,
      length: held.length + quantity * (item.length?.ticks ?? 0),
      paid: held.paid + paid,
    });
  }
  return sums;
};

const thingKey = ({ kind, name, section, width, material }: Item): string =>
  kind === 'hardware'
    ? hardwareKey(name)
    : [kind, nameKey(section), nameKey(material), kind === 'sheet' ? (width?.ticks ?? 0) : ''].join(':');

const difference = ({ item, category }: Sum, before: Sum | undefined, now: Sum | undefined): Difference => {
  const names = new Set([...(before?.names ?? []), ...(now?.names ?? [])]);
  const per = item.kind !== 'board' || names.size === 1 ? 'piece' : 'length';
  const name =
    item.kind === 'hardware' || names.size === 1 ? tagName(item) : `${item.section} ${item.material}`;
  const amount = (sum: Sum | undefined) => (per === 'piece' ? sum?.pieces : sum?.length) ?? 0;
  const [planned, paid] = [before?.paid ?? 0, now?.paid ?? 0];
  const [plannedQuantity, nowQuantity] = [amount(before), amount(now)];
  const of = {
    name,
    category,
    kind: item.kind,
    per,
    planned,
    now: paid,
    plannedQuantity,
    nowQuantity,
  } as const;
  if (!before || plannedQuantity === 0)
    return { ...of, priceVariance: 0, quantityVariance: 0, forgotten: paid - planned };
  const quantityVariance = Math.round(((nowQuantity - plannedQuantity) * planned) / plannedQuantity);
  return { ...of, quantityVariance, priceVariance: paid - planned - quantityVariance, forgotten: 0 };
};

/** One reason why it comes to more or less than planned. */
export interface Reason {
  text: string;
  sum: Minor;
}

/** The reasons for the difference, the weightiest first, each in words made of its figures. */
export const reasonsOf = (differences: Difference[], currency: string, unit: LengthUnit): Reason[] => {
  const money = (sum: Minor) => formatMoney(Math.abs(sum), currency);
  const all = differences
    .flatMap((one): Reason[] => {
      const { name, kind, per, priceVariance, quantityVariance, forgotten, nowQuantity, plannedQuantity } =
        one;
      const more = (sum: number) => (sum > 0 ? 'more' : 'less');
      if (kind === 'trips')
        return [
          {
            sum: priceVariance,
            text: `${name} came to ${money(priceVariance)} ${more(priceVariance)} than planned`,
          },
        ];
      if (kind === 'receipt')
        return [
          {
            sum: priceVariance,
            text: `Receipts came to ${money(priceVariance)} ${more(priceVariance)} than their lines`,
          },
        ];
      const change = nowQuantity - plannedQuantity;
      const amount =
        per === 'length'
          ? `${formatLength(Math.abs(change), unit)} ${change > 0 ? 'more' : 'less'} of`
          : `${Math.abs(change)} ${change > 0 ? 'more' : 'fewer'} ×`;
      const each = nowQuantity === 0 ? 0 : priceVariance / nowQuantity;
      const perUnit = per === 'length' ? each * (unit === 'in' ? TICKS_PER_FOOT : TICKS_PER_METRE) : each;
      const rate = Math.abs(perUnit) >= 0.5 ? `${money(Math.round(perUnit))} ` : 'a little ';
      return [
        { sum: forgotten, text: `${capital(name)} was not in the plan` },
        {
          sum: quantityVariance,
          text: nowQuantity === 0 ? `No ${name} after all` : `${capital(amount)} ${name} than planned`,
        },
        {
          sum: priceVariance,
          text: `${capital(name)} cost ${rate}${priceVariance > 0 ? 'more' : 'less'} ${per === 'length' ? (unit === 'in' ? 'a foot' : 'a metre') : 'each'} than planned`,
        },
      ];
    })
    .filter(({ sum }) => sum !== 0);
  // What cents that are shared among lines leave is one reason, and no reason at each of them.
  const rounding = all.filter(isRounding).reduce((sum, reason) => sum + reason.sum, 0);
  return [
    ...all.filter((reason) => !isRounding(reason)),
    ...(rounding === 0 ? [] : [{ text: 'Rounding at the till', sum: rounding }]),
  ].sort((x, y) => Math.abs(y.sum) - Math.abs(x.sum));
};

const isRounding = ({ sum }: Reason): boolean => Math.abs(sum) <= 1;

/** What came of them by category: the sum of each side. */
export const differencesByCategory = (
  differences: Difference[],
): Pick<
  Difference,
  'category' | 'planned' | 'now' | 'priceVariance' | 'quantityVariance' | 'forgotten'
>[] => {
  const sums = new Map<Category, ReturnType<typeof differencesByCategory>[number]>();
  for (const { category, planned, now, priceVariance, quantityVariance, forgotten } of differences) {
    const held = sums.get(category) ?? {
      category,
      planned: 0,
      now: 0,
      priceVariance: 0,
      quantityVariance: 0,
      forgotten: 0,
    };
    sums.set(category, {
      category,
      planned: held.planned + planned,
      now: held.now + now,
      priceVariance: held.priceVariance + priceVariance,
      quantityVariance: held.quantityVariance + quantityVariance,
      forgotten: held.forgotten + forgotten,
    });
  }
  return [...sums.values()].sort((a, b) => b.now - a.now);
};

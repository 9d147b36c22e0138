import { formatMoney, toMinor, type Minor } from '../units';
import { shownPlan, taxAt, type Buy, type Plan } from '../plan';
import { offerAt, tierFor } from '../pricing';
import { capital } from '../capital';
import {
  aislesOf,
  type Book,
  type Category,
  type Item,
  type Project,
  type Purchase,
  type PurchaseLine,
  type Store,
} from '../project';
import { nameKey } from '../lumber';
import { typedPriceLines } from './typedPriceLines';
import { categoryOf, purchaseLine } from './purchase';

/** One thing to take in a store. */
export interface RunLine {
  key: string;
  /** The offer that it is bought by; blank: it has a typed price, and may be bought anywhere. */
  offerKey: string;
  item: Item;
  name: string;
  /** Purchases. */
  quantity: number;
  pack: number;
  /** With tax, for all of them. */
  paid: Minor;
  category: Category;
  /** Boards among them against defects. */
  spare: number;
}

/** The item of a line of the plan, as it lies in the store; null where it is sold no more. */
export const itemOfBuy = (buy: Buy, book: Book): Item | null => {
  const item = offerAt(book, buy.offerKey)?.item;
  // Wood planed from rough is bought as it lies there.
  return item ? { ...item, name: buy.item, section: buy.section } : null;
};

/** What is still to take in a store, in the order of its aisles, things for any store included. */
export const runLines = (project: Project, book: Book, plan: Plan | null, storeId: string): RunLine[] => {
  const planned = (shownPlan(plan)?.buys ?? [])
    .filter((buy) => buy.storeId === storeId)
    .flatMap((buy): RunLine[] => {
      const item = itemOfBuy(buy, book);
      const { offerKey, qty, pack, costWithTax, spare } = buy;
      return item
        ? [
            {
              key: offerKey,
              offerKey,
              item,
              name: buy.item,
              quantity: qty,
              pack,
              paid: costWithTax,
              category: categoryOf(item),
              spare,
            },
          ]
        : [];
    });
  const beside = typedPriceLines(project, book).map(
    ({ extraId, item, quantity, costWithTax, category }): RunLine => ({
      key: extraId,
      offerKey: '',
      item: hardwareItem(item),
      name: item,
      quantity,
      pack: 1,
      paid: costWithTax,
      category,
      spare: 0,
    }),
  );
  const order = aislesOf(book.stores[storeId]);
  const place = ({ category }: RunLine) => order.indexOf(category);
  return [...planned, ...beside].sort(
    (a, b) =>
      place(a) - place(b) ||
      a.item.section.localeCompare(b.item.section, undefined, { numeric: true }) ||
      (b.item.length?.ticks ?? 0) - (a.item.length?.ticks ?? 0) ||
      a.name.localeCompare(b.name),
  );
};

/** An item that is bought by its name. */
export const hardwareItem = (name: string): Item => ({
  kind: 'hardware',
  name,
  section: '',
  length: null,
  width: null,
  material: '',
});

/** What lies in the cart of a store: a purchase that is not paid yet. */
export const cartOf = ({ purchases }: Project, storeId: string): Purchase | null =>
  purchases.find((purchase) => purchase.isOpen && purchase.storeId === storeId) ?? null;

/** What so many of a line cost with tax, at its price or at another on the tag. */
export const lineCost = (
  line: RunLine,
  quantity: number,
  { project, book, unitPrice }: { project: Project; book: Book; unitPrice?: number },
): Minor => {
  const offer = offerAt(book, line.offerKey);
  const store = book.stores[offer?.storeId ?? ''];
  const known = unitPrice ?? (offer ? tierFor(offer.tiers, quantity)?.unitPrice : undefined);
  if (known === undefined || !store) return Math.round((line.paid * quantity) / line.quantity);
  if (unitPrice === undefined && quantity === line.quantity) return line.paid;
  const rate = taxAt(store, project.settings);
  return toMinor(Math.round(known * quantity * (1 - store.discount) * (1 + rate)), project.currency);
};

/** A line as it is put in the cart: so many, for so much with tax. */
export const cartLine = (
  line: Pick<RunLine, 'item' | 'pack' | 'category'>,
  quantity: number,
  paid: Minor,
  store: Store | undefined,
  project: Project,
): PurchaseLine => ({
  ...purchaseLine(
    line.item,
    line.pack,
    quantity,
    paid,
    store ?? { taxFree: false },
    project.settings,
    project.currency,
  ),
  category: line.category,
});

/** The order of the aisles as they were walked: by what was taken first, then as it was before. */
export const learnedAisleOrder = (purchase: Purchase, store: Store | undefined): Category[] => [
  ...new Set([...purchase.lines.map(({ category }) => category), ...aislesOf(store)]),
];

/** Something that did not go as planned, and what was to buy before it. */
export interface Deviation {
  /** What happened: `2x4x8 stud is not there`. */
  cause: string;
  /** Name of the thing it happened to; it is not told again. */
  item: string;
  before: AskedFor[];
  /** What it all came to before. */
  total: Minor;
}

/** Of a line to buy: what, where and how many. */
export type AskedFor = Pick<Buy, 'storeId' | 'store' | 'item' | 'qty'>;

/** What a plan buys, as it is asked for in a store. */
export const askedFor = (plan: Plan | null): AskedFor[] =>
  (shownPlan(plan)?.buys ?? []).map(({ storeId, store, item, qty }) => ({ storeId, store, item, qty }));

/**
 * What a surprise changed, in words: `2x4x8 stud is not there: take 2 × 2x4x12 stud instead. $1.40 more in all.` `total`
 * is what it all comes to now.
 */
export const replanWords = (
  surprise: Deviation,
  plan: Plan,
  total: Minor,
  storeId: string,
): { text: string; isWorse: boolean } => {
  const { cause, item, before, total: was } = surprise;
  const now = askedFor(plan);
  const quantityIn = (list: AskedFor[], of: AskedFor) =>
    list
      .filter((one) => one.storeId === of.storeId && nameKey(one.item) === nameKey(of.item))
      .reduce((sum, { qty }) => sum + qty, 0);
  const at = (of: AskedFor) => (of.storeId === storeId ? '' : ` at ${of.store}`);
  const isIt = (of: AskedFor) => of.storeId === storeId && nameKey(of.item) === nameKey(item);
  const more = now.flatMap((line) => {
    const held = quantityIn(before, line);
    if (line.qty <= held) return [];
    return [
      held === 0
        ? `take ${line.qty} × ${line.item}${at(line)}`
        : `${line.qty - held} × ${line.item}${at(line)} more`,
    ];
  });
  const less = before.flatMap((line) => {
    const left = quantityIn(now, line);
    if (left >= line.qty || isIt(line)) return [];
    return [
      left === 0 ? `leave the ${line.item}${at(line)}` : `${line.qty - left} × ${line.item}${at(line)} fewer`,
    ];
  });
  const changes = [...more, ...less];
  const difference = total - was;
  const money = (sum: Minor) => formatMoney(Math.abs(sum), plan.currency);
  const [problem] = plan.status === 'infeasible' ? plan.problems : [];
  if (problem)
    return {
      text: `${cause}: ${changes.length > 0 ? `${changes.join(', ')}. Still missing: ` : ''}${problem.sentence}`,
      isWorse: true,
    };
  const what =
    changes.length === 0
      ? 'the rest stays as it is'
      : `${changes.join(', ')}${more.length > 0 && less.length === 0 ? ' instead' : ''}`;
  const sum =
    difference === 0
      ? 'It costs the same.'
      : `${money(difference)} ${difference > 0 ? 'more' : 'less'} in all.`;
  return { text: `${capital(cause)}: ${what}. ${sum}`, isWorse: difference > 0 };
};

/** How a receipt stands against the lines of a cart, in words; blank: they agree. */
export const receiptWords = (gap: { price: Minor; tax: Minor }, lines: number, currency: string): string => {
  const sum = gap.price + gap.tax;
  const money = (minor: Minor) => formatMoney(Math.abs(minor), currency);
  const tax =
    gap.tax === 0 ? '' : ` Its tax is ${money(gap.tax)} ${gap.tax > 0 ? 'more' : 'less'} than the lines say.`;
  if (sum === 0) return tax === '' ? '' : `The total agrees.${tax}`;
  const way = sum > 0 ? 'more' : 'less';
  if (Math.abs(sum) <= lines) return `${money(sum)} ${way} than the lines: rounding at the till.${tax}`;
  return `${money(sum)} ${way} than the lines: look for a line that is missing or has another price. Kept as it is, it counts as “on the receipt, in no line”.${tax}`;
};

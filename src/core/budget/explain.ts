import { formatDay, formatMoney, formatTag, percentText, toMinor, type Minor } from '../units';
import { proofTerms, shownPlan, taxAt, type Buy, type Layout, type Plan } from '../plan';
import { offerAt, tierFor, UNIT_WORDS } from '../pricing';
import type { Book, Price, Project, Store } from '../project';
import { ledgerOf, paidFor, type Entry } from './ledger';
import { projectMoney } from './money';
import { typedPriceLines } from './typedPriceLines';

/** Where a sum comes from: its parts, which add up to it to the cent, down to shelf tags and receipts. */
export interface Explanation {
  label: string;
  sum: Minor;
  /** How it is reckoned or where it is from, in a sentence or two; blank: its parts say all. */
  note: string;
  /** Empty: nothing lies beneath it. */
  parts: Explanation[];
}

/** A sum with the parts that it adds up. */
export const sumOf = (label: string, parts: Explanation[], note = ''): Explanation => ({
  label,
  sum: parts.reduce((sum, part) => sum + part.sum, 0),
  note,
  parts,
});

/** A sum with nothing beneath it. */
export const leaf = (label: string, sum: Minor, note = ''): Explanation => ({ label, sum, note, parts: [] });

/** Of some parts those that come to anything. */
export const some = (...parts: (Explanation | null)[]): Explanation[] =>
  parts.filter((part) => part !== null && part.sum !== 0) as Explanation[];

/** What a project comes to: what was paid, receipt by receipt, and what is to buy, store by store. */
export const explainTotal = (project: Project, book: Book, plan: Plan | null): Explanation =>
  sumOf('In all', [explainSpent(project), explainToBuy(project, book, plan)]);

/** What the target leaves: the target, less all that is spent, to buy and held back. Null without a target. */
export const explainLeft = (project: Project, book: Book, plan: Plan | null): Explanation | null => {
  const { target, reserve } = projectMoney(project, book, plan);
  if (target === null) return null;
  const less = ({ label, sum, note, parts }: Explanation): Explanation => ({
    label,
    sum: -sum,
    note,
    parts: parts.map(less),
  });
  return sumOf('Left of the target', [
    leaf('The target', target),
    less(explainSpent(project)),
    less(explainToBuy(project, book, plan)),
    ...some(leaf('Held back', -reserve, 'A share of what is still to buy, for what goes wrong.')),
  ]);
};

/** What was paid: every purchase with its lines, what was taken back, its trip and shipping. */
export const explainSpent = (project: Project): Explanation => {
  const entries = ledgerOf(project);
  return sumOf(
    'Spent',
    project.purchases.map(({ id, store, date, isOpen }) => {
      const own = entries.filter(({ purchaseId }) => purchaseId === id);
      return sumOf(`${store}, ${formatDay(date)}`, own.map(explainEntry), isOpen ? 'In the cart.' : '');
    }),
    project.purchases.length === 0 ? 'Nothing was bought yet.' : 'As it was paid: no later price moves it.',
  );
};

/** One line of the ledger. */
export const explainEntry = (entry: Entry): Explanation => {
  const { kind, item, quantity, tax, note, share, date } = entry;
  return leaf(
    kind === 'bought' || kind === 'returned' ? `${Math.abs(quantity)} × ${item}` : item,
    paidFor(entry),
    [
      kind === 'returned' ? `Taken back ${formatDay(date)}.` : '',
      tax === 0 ? '' : 'With tax.',
      share ? `A share of ${percentText(share.part)} %; the rest is ${share.with}’s.` : '',
      kind === 'trip' ? 'As the price book had it when this was recorded.' : '',
      note === 'taken back' || note === '' ? '' : `${note}.`,
    ]
      .filter(Boolean)
      .join(' '),
  );
};

/** What is still to pay: by store its lines, tax in them, trip, shipping and sawing; and what has a typed price. */
export const explainToBuy = (project: Project, book: Book, plan: Plan | null): Explanation => {
  const shown = shownPlan(plan);
  const typed = typedPriceLines(project, book).map(({ item, quantity, costWithTax }) =>
    leaf(`${quantity} × ${item}`, costWithTax, 'At the price that was typed for it, with tax.'),
  );
  return sumOf(
    'To buy',
    [
      ...(shown?.stores ?? []).map((store) => explainStore(store.storeId, project, book, shown)),
      ...some(
        shown &&
          leaf(
            'Shipping still due',
            shown.committedShipping,
            'For what was bought already: the order is not large enough to be sent free.',
          ),
        sumOf('Anywhere', typed),
      ),
    ],
    plan === null
      ? 'Not planned yet.'
      : plan.status === 'infeasible'
        ? 'Without what has no price or cannot be made.'
        : '',
  );
};

/** What one store is still to be paid, by the plan. */
export const explainStore = (
  storeId: string,
  { settings }: Pick<Project, 'settings'>,
  book: Book,
  plan: Plan | null,
): Explanation => {
  const store = book.stores[storeId];
  if (!plan) return sumOf(store?.name ?? '', [], '');
  const cost = plan.stores.find((one) => one.storeId === storeId);
  const buys = plan.buys.filter((buy) => buy.storeId === storeId);
  const cuts = storeCutsAt(storeId, plan.layouts);
  const { currency } = plan;
  const rate =
    store && cost && cost.tax !== 0 ? taxAt({ ...store, taxRate: store.taxRate ?? null }, settings) : 0;
  const going = cost && [
    leaf('Going there', cost.trip, 'The trip that the price book has for this store, once.'),
    leaf('Shipping', cost.shipping, shippingWords(store, currency)),
  ];
  const sawing = leaf(
    `${cuts} ${cuts === 1 ? 'cut' : 'cuts'} at the store`,
    cuts * (store?.cutFee ?? 0),
    'So that the boards go in the car.',
  );
  return sumOf(
    cost?.store ?? store?.name ?? '',
    [...buys.map((buy) => explainBuy(buy, book, currency)), ...some(...(going ?? []), sawing)],
    rateWords(rate, store?.discount ?? 0),
  );
};

const storeCutsAt = (storeId: string, layouts: Layout[]): number =>
  layouts
    .filter(({ source }) => !('owned' in source) && source.storeId === storeId)
    .reduce((sum, { storeCuts, count }) => sum + storeCuts.length * count, 0);

/** What the lines of a store hold of tax and discount, as shares. */
const rateWords = (tax: number, discount: number): string =>
  [
    tax > 0 ? `${percentText(tax)} % tax is in each line.` : '',
    discount > 0 ? `${percentText(discount)} % discount is taken off.` : '',
    tax > 0 || discount > 0 ? 'Cents are shared among the lines so that they add up to the receipt.' : '',
  ]
    .filter(Boolean)
    .join(' ');

const shippingWords = (store: Store | undefined, currency: string): string =>
  store?.shipping?.freeFrom ? `Free from ${formatMoney(store.shipping.freeFrom, currency)} on.` : '';

/** One line of the list: so many at what the shelf tag said, seen when and how. */
export const explainBuy = (
  { offerKey, qty, item, pack, cost, unitPrice, costWithTax, spare, kind }: Buy,
  book: Book,
  currency: string,
): Explanation => {
  const offer = offerAt(book, offerKey);
  const tier = offer && tierFor(offer.tiers, qty);
  const price = tier?.price;
  const each = `${qty} at ${formatTag(unitPrice, currency)}${pack > 1 ? ` a pack of ${pack}` : ''}: ${formatMoney(toMinor(cost, currency), currency)} on the shelf.`;
  const tag =
    price && price.unit !== 'each' && price.unit !== 'pack'
      ? ` The tag says ${formatTag(price.price, currency)} ${UNIT_WORDS[price.unit]}.`
      : '';
  const from = price && price.minQty > 1 ? ` That price holds from ${price.minQty} on.` : '';
  const seen = price
    ? ` Seen ${price.date ? formatDay(price.date) : 'on no known day'}, ${SOURCES[price.source]}.`
    : '';
  const extra = spare > 0 && kind !== 'hardware' ? ` ${spare} of them spare, against defects.` : '';
  return leaf(`${qty} × ${item}`, costWithTax, `${each}${tag}${from}${seen}${extra}`);
};

const SOURCES: Record<Price['source'], string> = {
  typed: 'typed by hand',
  file: 'from a file',
  service: 'told by the store',
  sample: 'a sample price',
};

/** What a verdict on a plan rests on, in sentences: the bound, the rules it holds under, and what was left out. */
export const explainVerdict = (plan: Plan | null): string[] => {
  const shown = shownPlan(plan);
  if (!plan || !shown) return ['Nothing is planned yet.'];
  const money = (sum: Minor) => formatMoney(sum, shown.currency);
  const terms = proofTerms(shown);
  return [
    `This plan costs ${money(shown.total)}. No plan can cost less than ${money(shown.lowerBound)}.`,
    shown.status === 'proved'
      ? 'The two meet: it is proved cheapest.'
      : `What lies between, ${money(shown.total - shown.lowerBound)}, is not proved: it is the most that could still be saved.`,
    terms.length > 0
      ? `That holds among plans ${terms.join(' and ')}.`
      : 'That holds among all plans of crosscuts with a kerf between the pieces.',
    'It was reckoned from the prices, trips, shipping, tax and discounts of the price book, and what is on the rack; the plan was checked by a part of Billet that shares no planning code.',
    ...(plan.problems.length > 0 ? ['Left out, because it has no price or cannot be made:'] : []),
    ...plan.problems.map(({ sentence }) => sentence),
  ];
};

/** An explanation as lines of text, each part indented beneath its sum. */
export const explanationText = (explanation: Explanation, currency: string, depth = 0): string[] => {
  const { label, sum, note, parts } = explanation;
  const indent = '  '.repeat(depth);
  return [
    `${indent}${formatMoney(sum, currency)}  ${label}${note ? ` (${note})` : ''}`,
    ...parts.flatMap((part) => explanationText(part, currency, depth + 1)),
  ];
};

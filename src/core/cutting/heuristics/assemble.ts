import { toMicros, toMinor, type Micros, type Minor } from '../../units';
import {
  planCost,
  tierFor,
  shippingFor,
  netPriceFactor,
  taxAt,
  type Purchases,
  type FilledPanel,
  type CuttingProblem,
  type StoreTerms,
  type Stock,
  type Buy,
  offcutName,
  type Layout,
  type Offcut,
  type Plan,
  type Short,
  type Source,
  type StoreCost,
} from '../model';
import { drawBoard } from './drawBoard';
import { drawPanel } from './drawPanel';
import type { FilledBoard } from './packBoards';
import { largestRemainder } from './largestRemainder';
import { withSpares } from './spares';

/** What a planner decides: what is cut from what, and what is bought. */
export interface Basket {
  boards: FilledBoard[];
  panels: FilledPanel[];
  purchases: Purchases[];
}

/** A basket as a plan: money rounded once per store (goods, then tax), boards drawn, like ones counted. */
export const assemble = (input: CuttingProblem, basket: Basket): Plan => {
  const { layouts, short } = layoutsOf(input, basket);
  return paidAt(input, purchasesWithSpares(input, basket), layouts, short);
};

/** What a basket costs, with what a plan is weighed by; nothing is drawn for it. */
export const basketCost = (input: CuttingProblem, basket: Basket): Minor =>
  planCost(paidAt(input, purchasesWithSpares(input, basket), [], []));

const purchasesWithSpares = (input: CuttingProblem, { boards, panels, purchases }: Basket): Purchases[] =>
  withSpares(
    purchases,
    [...boards, ...panels].map(({ stock }) => stock),
    input,
  );

/** A plan of what is bought and cut, with the money it comes to. */
export const paidAt = (
  input: CuttingProblem,
  purchases: Purchases[],
  layouts: Layout[],
  short: Short[],
): Plan => {
  const buys = buysOf(input, purchases);
  const stores = input.stores.flatMap((store) =>
    storeCost(
      store,
      buys.filter(({ storeId }) => storeId === store.id),
      input,
    ),
  );
  for (const store of stores) payLines(store, buys, input);
  const sum = (field: 'goods' | 'tax' | 'trip' | 'shipping') =>
    stores.reduce((total, store) => total + store[field], 0);
  for (const buy of buys)
    if (buy.kind !== 'hardware') buy.spare = Math.max(0, buy.qty * buy.pack - cutFrom(buy, layouts));
  return {
    status: 'bounded',
    currency: input.currency,
    total: sum('goods') + sum('tax') + sum('trip') + sum('shipping'),
    lowerBound: 0,
    goods: sum('goods'),
    tax: sum('tax'),
    trips: sum('trip'),
    shipping: sum('shipping'),
    sawing: 0,
    committedShipping: input.stores
      .filter(({ id }) => stores.every(({ storeId }) => storeId !== id))
      .reduce((due, store) => due + store.committedShipping, 0),
    buys,
    layouts: input.sawn ? withSawn(input.sawn, layouts) : layouts,
    short,
    problems: [],
    stores,
  };
};

/** The drawings of a plan with those of boards on which sawing has begun; what is cut on of these is no offcut any more. */
const withSawn = (sawn: Layout[], layouts: Layout[]): Layout[] => {
  const used = new Map<string, number>();
  for (const { source, count, length, width } of [...sawn, ...layouts])
    if ('owned' in source) {
      const key = `${source.owned}:${length}:${width}`;
      used.set(key, count + (used.get(key) ?? 0));
    }
  const isUsed = (name: string, { length, ofUse = length, width }: Offcut): boolean => {
    const key = `${name}:${ofUse}:${width}`;
    const left = used.get(key) ?? 0;
    if (left > 0) used.set(key, left - 1);
    return left > 0;
  };
  return [
    ...sawn.map((layout) => ({
      ...layout,
      offcuts: layout.offcuts.filter((offcut) => !isUsed(offcutName(layout), offcut)),
    })),
    ...layouts,
  ];
};

/** Boards or sheets of a purchase that layouts cut. */
const cutFrom = (buy: Buy, layouts: Layout[]): number =>
  layouts
    .filter(
      ({ source, length }) =>
        !('owned' in source) &&
        source.storeId === buy.storeId &&
        source.item === buy.item &&
        length === buy.length,
    )
    .reduce((sum, { count }) => sum + count, 0);

const buysOf = (input: CuttingProblem, purchases: Purchases[]): Buy[] => {
  const quantities = new Map<string, Purchases>();
  for (const { offer, quantity } of purchases)
    quantities.set(offer.key, { offer, quantity: quantity + (quantities.get(offer.key)?.quantity ?? 0) });
  return [...quantities.values()]
    .flatMap(({ offer, quantity }): Buy[] => {
      const store = input.stores.find(({ id }) => id === offer.storeId);
      const tier = tierFor(offer.tiers, quantity);
      if (!store || !tier) return [];
      const { kind, section, material } = offer.item;
      const cost = quantity * tier.unitPrice;
      return [
        {
          offerKey: offer.key,
          storeId: store.id,
          store: store.name,
          item: offer.name,
          kind,
          section,
          material,
          length: offer.length,
          width: offer.width,
          pack: offer.pack,
          qty: quantity,
          unitPrice: tier.unitPrice,
          cost,
          costWithTax: 0,
          spare: 0,
        },
      ];
    })
    .sort(
      (a, b) =>
        compare(a.store, b.store) ||
        compare(KINDS.indexOf(a.kind), KINDS.indexOf(b.kind)) ||
        compare(a.section, b.section) ||
        b.length - a.length ||
        compare(a.offerKey, b.offerKey),
    );
};

const KINDS = ['board', 'sheet', 'hardware'];
const compare = <T>(a: T, b: T): number => (a < b ? -1 : a > b ? 1 : 0);

/** Shares what a store's goods and tax come to among its lines, so that they add up to it. */
const payLines = (
  { storeId, goods, tax }: StoreCost,
  buys: Buy[],
  { stores, settings, currency }: CuttingProblem,
): void => {
  const terms = stores.find(({ id }) => id === storeId);
  const lines = buys.filter((buy) => buy.storeId === storeId);
  const minor = toMicros(1, currency);
  const shares = lines.map(({ cost }) => (cost * (terms ? netPriceFactor(terms, settings) : 1)) / minor);
  largestRemainder(goods + tax, shares).forEach((costWithTax, index) => {
    const line = lines[index];
    if (line) line.costWithTax = costWithTax;
  });
};

const storeCost = (store: StoreTerms, buys: Buy[], { settings, currency }: CuttingProblem): StoreCost[] => {
  if (buys.length === 0) return [];
  const cost = buys.reduce((sum, buy) => sum + buy.cost, 0);
  const goods = toMinor(Math.round(cost * (1 - store.discount)), currency);
  return [
    {
      storeId: store.id,
      store: store.name,
      goods,
      tax: toMinor(Math.round(toMicros(goods, currency) * taxAt(store, settings)), currency),
      trip: store.trip,
      shipping: shippingFor(store.shipping, goods),
    },
  ];
};

/** Boards of one stock, in the order in which they are taken: what is owned first, then what is bought. */
const sourcesOf = (
  input: CuttingProblem,
  purchases: Purchases[],
): ((stock: Stock) => { source: Source; value: Micros }) => {
  const piles = new Map<Stock, { source: Source; value: Micros; left: number }[]>();
  const taken = new Map<string, number>();
  return (stock) => {
    const pile = piles.get(stock) ?? fill(stock);
    piles.set(stock, pile);
    const next = pile.find(({ left }) => left > 0);
    if (!next) throw new Error('a board is cut that is neither owned nor bought');
    next.left--;
    return next;
  };

  function fill(stock: Stock) {
    const owned = stock.owned.map(({ name, value, count }) => ({
      source: { owned: name } as Source,
      value,
      left: count,
    }));
    const bought = stock.offers.flatMap((offer) => {
      const store = input.stores.find(({ id }) => id === offer.storeId);
      const quantity = purchases
        .filter((purchase) => purchase.offer.key === offer.key)
        .reduce((sum, purchase) => sum + purchase.quantity, 0);
      const tier = tierFor(offer.tiers, quantity);
      if (!store || !tier || taken.has(offer.key)) return [];
      taken.set(offer.key, quantity);
      const value = Math.round((tier.unitPrice / offer.pack) * netPriceFactor(store, input.settings));
      return [
        {
          source: { storeId: store.id, store: store.name, item: offer.name } as Source,
          value,
          left: quantity * offer.pack,
        },
      ];
    });
    return [...owned, ...bought];
  }
};

const layoutsOf = (
  input: CuttingProblem,
  { boards, panels, purchases }: Basket,
): { layouts: Layout[]; short: Short[] } => {
  const next = sourcesOf(input, purchases);
  const layouts = new Map<string, Layout>();
  const short = new Map<string, Short>();
  const drawn = [
    ...boards.map((board) => ({ stock: board.stock, ...drawBoard(board, input.settings) })),
    ...panels.map((panel) => ({ stock: panel.stock, ...drawPanel(panel, input.settings) })),
  ];
  for (const { stock, pieces, cuts, offcuts, short: shorts } of drawn) {
    const { kind } = stock;
    const item = stock.offers[0]?.item ?? null;
    const pile = stock.owned[0];
    const section = item?.section ?? pile?.section ?? '';
    const material = item?.material ?? pile?.material ?? '';
    const { source, value } = next(stock);
    const key = JSON.stringify([
      source,
      kind,
      [section, stock.thickness, stock.length, stock.width, stock.material],
      pieces,
    ]);
    const held = layouts.get(key);
    if (held) held.count++;
    else
      layouts.set(key, {
        count: 1,
        source,
        kind,
        section,
        length: stock.length,
        width: stock.width,
        material,
        pieces,
        cuts,
        storeCuts: [],
        offcuts,
        value,
      });
    for (const { by, ...rest } of shorts) {
      const shortKey = `${rest.partId}:${by}`;
      short.set(shortKey, { ...rest, by, count: (short.get(shortKey)?.count ?? 0) + 1 });
    }
  }
  return {
    layouts: [...layouts.values()].sort((a, b) => b.length - a.length || b.count - a.count),
    short: [...short.values()],
  };
};

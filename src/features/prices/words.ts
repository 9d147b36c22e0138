import {
  daysBetween,
  formatDay,
  formatMoney,
  percentText,
  toMinor,
  type LengthUnit,
  type Micros,
} from '@/core/units';
import { comparedBy, isStale, knownOn, newestOf, trendOf, UNIT_WORDS, type Offer } from '@/core/pricing';
import { taxAt } from '@/core/plan';
import type { PriceUnit, Store, StoreKind } from '@/core/project';
import type { PriceBookView } from './priceBookView';

/** The kinds of store, in words. */
export const STORE_KINDS: { value: StoreKind; label: string }[] = [
  { value: 'home centre', label: 'Home centre' },
  { value: 'lumber yard', label: 'Lumber yard' },
  { value: 'sawmill', label: 'Sawmill' },
  { value: 'online', label: 'Online' },
  { value: 'other', label: 'Other' },
];

/** What a store is and what it adds: `lumber yard · trip $4.20`. */
export const storeWords = (store: Store): string =>
  [
    store.kind === 'other' ? '' : store.kind,
    store.trip > 0 ? `trip ${formatMoney(store.trip, store.currency)}` : '',
    store.way ? `${store.way.distance} ${store.way.unit} there and back` : '',
    store.shipping
      ? `shipping ${formatMoney(store.shipping.fee, store.currency)}${store.shipping.freeFrom === null ? '' : `, free from ${formatMoney(store.shipping.freeFrom, store.currency)}`}`
      : '',
    store.discount > 0 ? `${Number((store.discount * 100).toFixed(2))} % off` : '',
    store.taxFree ? 'no tax added' : '',
    store.taxRate === undefined ? '' : `tax ${percentText(store.taxRate)} %`,
    store.note,
  ]
    .filter((word) => word !== '')
    .join(' · ') || 'nothing added to its prices';

/** A sum in millionths, to the cent. */
export const cents = (micros: Micros, currency: string): string =>
  formatMoney(toMinor(Math.round(micros), currency), currency);

/** How old the price is that holds: `seen 14 Nov 2026`, `seen 2 Jan 2026, 327 days ago`; an old one is also marked. */
export const ageOf = (
  offer: Offer,
  { book, today, staleAfter }: Pick<PriceBookView, 'book' | 'today' | 'staleAfter'>,
): { text: string; isOld: boolean } => {
  const date = knownOn(offer, book);
  if (date === null) return { text: 'date unknown', isOld: true };
  const isOld = isStale(date, today, staleAfter);
  const days = daysBetween(date, today);
  const { source } = newestOf(offer);
  const word = source === 'service' ? 'told' : 'seen';
  return { text: `${word} ${formatDay(date)}${isOld ? `, ${days} days ago` : ''}`, isOld };
};

/** `up 6 %`, `down 12 %`; blank where it never moved. */
export const trendWords = (offer: Offer, { book }: Pick<PriceBookView, 'book'>): string => {
  const trend = trendOf(offer, book);
  return trend ? `${trend.way} ${Math.max(1, Math.round(trend.share * 100))} %` : '';
};

/** What one purchase takes from the pocket: less the store's discount, with tax. */
export const inThePocket = (offer: Offer, { book, terms }: Pick<PriceBookView, 'book' | 'terms'>): Micros => {
  const store = book.stores[offer.storeId];
  const price = offer.tiers[0]?.unitPrice ?? 0;
  return store ? price * (1 - store.discount) * (1 + taxAt(store, terms)) : price;
};

/** How that sum came about: `less 5 % discount, with 7 % tax`; blank where it is the tag's price. */
export const pocketWords = (offer: Offer, { book, terms }: Pick<PriceBookView, 'book' | 'terms'>): string => {
  const store = book.stores[offer.storeId];
  if (!store) return '';
  const tax = taxAt(store, terms);
  const percent = (share: number) => `${Number((share * 100).toFixed(2))} %`;
  return [
    store.discount > 0 ? `less ${percent(store.discount)} discount` : '',
    tax > 0 ? `with ${percent(tax)} tax` : '',
  ]
    .filter(Boolean)
    .join(', ');
};

/** By what an offer is the lowest: `lowest a foot`. What the plan buys may be another, for its length or its store. */
export const lowestBy = ({ item }: Offer, unit: LengthUnit): string =>
  `lowest ${UNIT_WORDS[comparedBy(item.kind, unit)]}`;

/** `by the foot`: how a thing is sold that is not sold each. */
export const byThe = (unit: PriceUnit): string => UNIT_WORDS[unit].replace(/^an? /, 'by the ');

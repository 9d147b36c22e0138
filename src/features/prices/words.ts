import { formatMoney, formatTag } from '@/core/measure';
import { UNIT_WORDS } from '@/core/prices';
import type { Price, Store, StoreKind } from '@/core/project';

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
    store.shipping
      ? `shipping ${formatMoney(store.shipping.fee, store.currency)}${store.shipping.freeFrom === null ? '' : `, free from ${formatMoney(store.shipping.freeFrom, store.currency)}`}`
      : '',
    store.discount > 0 ? `${Number((store.discount * 100).toFixed(2))} % off` : '',
    store.taxFree ? 'no tax added' : '',
    store.note,
  ]
    .filter((word) => word !== '')
    .join(' · ') || 'nothing added to its prices';

/** As sold: `$0.68 a foot`, `$11.48 a pack of 100`, `10 or more: $3.49`. */
export const asSold = (
  { price, unit, pack, minQty }: Pick<Price, 'price' | 'unit' | 'pack' | 'minQty'>,
  currency: string,
): string => {
  const tag = formatTag(price, currency);
  const per = pack > 1 ? `a pack of ${pack}` : unit === 'pack' ? 'each' : UNIT_WORDS[unit];
  return `${minQty > 1 ? `${minQty} or more: ` : ''}${tag} ${per}`;
};

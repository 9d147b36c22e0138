import { hardwareItem } from '@/core/budget';
import type { Purchase, PurchaseLine } from '@/core/project';

/** A purchase that nothing is known of yet. */
export const blankPurchase = (id: string, date: string): Purchase => ({
  id,
  date,
  storeId: '',
  store: '',
  note: '',
  lines: [blankLine()],
});

/** A line of a receipt that nothing is known of yet. */
export const blankLine = (): PurchaseLine => ({
  item: hardwareItem(''),
  pack: 1,
  quantity: 1,
  price: 0,
  tax: 0,
  category: 'other',
});

import type { Minor } from '../units';
import type { Item, Purchase, PurchaseLine } from './types';

/** Purchases of a line that were not taken back. */
export const keptQuantity = ({ quantity, returned = [] }: PurchaseLine): number =>
  returned.reduce((left, back) => left - back.quantity, quantity);

/** Pieces of a line that are this project's: packs that were kept, by its share of them. */
export const keptPieces = (line: PurchaseLine): number =>
  Math.floor(line.pack * keptQuantity(line) * (line.share?.part ?? 1) + 1e-9);

/** What a line came to with tax, less what came back for it. */
export const keptMoney = ({ price, tax, returned = [] }: PurchaseLine): Minor =>
  returned.reduce((left, back) => left - back.price - back.tax, price + tax);

/** The item that a line serves as: its own, or that which it was bought in place of. */
export const servesAs = ({ item, for: wanted }: PurchaseLine): Item =>
  wanted === undefined ? item : { ...item, name: wanted };

/** What a line came to at the till, before it was shared with another project. */
export const wholeLine = ({ price, tax, share }: PurchaseLine): Minor => share?.whole ?? price + tax;

/** What the lines of a purchase came to at the till. */
export const wholeLines = ({ lines }: Pick<Purchase, 'lines'>): Minor =>
  lines.reduce((sum, line) => sum + wholeLine(line), 0);

/** By how much a receipt is more than its lines: without tax, and tax. Nothing where no receipt is told. */
export const receiptGap = (purchase: Purchase): { price: Minor; tax: Minor } => {
  const { lines, receipt } = purchase;
  if (!receipt) return { price: 0, tax: 0 };
  const gap = receipt.total - wholeLines(purchase);
  const tax = receipt.tax === null ? 0 : receipt.tax - lines.reduce((sum, line) => sum + line.tax, 0);
  // Shared lines hold the tax of their own part only: then the receipt's cannot be told apart.
  const ofTax = lines.some(({ share }) => share) ? 0 : tax;
  return { price: gap - ofTax, tax: ofTax };
};

/** What a purchase took out of the pocket, returns and all. */
export const purchaseMoney = (purchase: Purchase): Minor => {
  const { price, tax } = receiptGap(purchase);
  return purchase.lines.reduce((sum, line) => sum + keptMoney(line), price + tax);
};

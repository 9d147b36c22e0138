import type { Minor } from '../units';
import {
  wholeLine,
  type Category,
  type Command,
  type Purchase,
  type PurchaseLine,
  type Returned,
} from '../project';
import { categoryOf } from './purchase';

/** A purchase with other lines in place of one. */
export const withLine = (purchase: Purchase, index: number, ...lines: PurchaseLine[]): Purchase => ({
  ...purchase,
  lines: purchase.lines.flatMap((line, place) => (place === index ? lines : [line])),
});

/** A purchase some of whose line was taken back; of what came back, tax is told apart as it was paid, unless it is told. */
export const takeBack = (
  purchase: Purchase,
  index: number,
  {
    id,
    date,
    quantity,
    refund,
    tax: told,
  }: Pick<Returned, 'id' | 'date' | 'quantity'> & { refund: Minor; tax?: Minor | null },
): Purchase => {
  const line = purchase.lines[index];
  if (!line) return purchase;
  const paid = line.price + line.tax;
  const tax = told ?? (paid === 0 ? 0 : Math.round((refund * line.tax) / paid));
  const back: Returned = { id, date, quantity, price: refund - tax, tax };
  return withLine(purchase, index, { ...line, returned: [...(line.returned ?? []), back] });
};

/** The command that makes `after` of a purchase, where one line of it became another, or several. */
export const lineChange = (before: Purchase, index: number, after: Purchase): Command[] => {
  const line = before.lines[index];
  const count = after.lines.length - before.lines.length + 1;
  if (!line) return [];
  return [{ type: 'replaceLine', purchaseId: before.id, line, by: after.lines.slice(index, index + count) }];
};

/** What would come back for so many of a line: its share of what was paid. */
export const refundFor = ({ price, tax, quantity }: PurchaseLine, back: number): Minor =>
  Math.round(((price + tax) * back) / quantity);

/**
 * A purchase with a part of a line as a line of its own: so many of it, or so much money of a thing by another name. The two
 * add up to what was paid.
 */
export const splitLine = (
  purchase: Purchase,
  index: number,
  off: { name: string; quantity: number; paid: Minor; category?: Category },
): Purchase => {
  const line = purchase.lines[index];
  if (!line) return purchase;
  const paid = line.price + line.tax;
  const tax = paid === 0 ? 0 : Math.round((off.paid * line.tax) / paid);
  const isSame = off.name === line.item.name;
  const item = isSame ? line.item : { ...line.item, name: off.name };
  const part: PurchaseLine = {
    item,
    pack: isSame ? line.pack : 1,
    quantity: off.quantity,
    price: off.paid - tax,
    tax,
    category: off.category ?? (isSame ? line.category : categoryOf(item)),
  };
  const rest = {
    ...line,
    quantity: isSame ? line.quantity - off.quantity : line.quantity,
    price: line.price - part.price,
    tax: line.tax - tax,
  };
  return withLine(purchase, index, rest, part);
};

/**
 * A line that two projects use: `part` of it stays here, the rest becomes a purchase of the other, of the id given. Both
 * add up to what was paid, to the cent.
 */
export const shareLine = (
  purchase: Purchase,
  index: number,
  { part, here, there, id }: { part: number; here: string; there: string; id: string },
): { here: Purchase; there: Purchase } | null => {
  const line = purchase.lines[index];
  if (!line || line.share) return null;
  const whole = wholeLine(line);
  const [price, tax] = [Math.round(line.price * part), Math.round(line.tax * part)];
  const { returned: _, ...bare } = line;
  const other: PurchaseLine = {
    ...bare,
    price: line.price - price,
    tax: line.tax - tax,
    share: { part: 1 - part, whole, with: here },
  };
  return {
    here: withLine(purchase, index, { ...line, price, tax, share: { part, whole, with: there } }),
    there: {
      id,
      date: purchase.date,
      storeId: purchase.storeId,
      store: purchase.store,
      note: '',
      lines: [other],
    },
  };
};

import { paidFor, type Entry } from '../budget';
import { writeMoney, type Minor } from '../measure';
import { writeTable } from './table';

const COLUMNS = ['date', 'store', 'item', 'qty', 'pack', 'price', 'tax', 'paid', 'category', 'note'];

/** A ledger as CSV (RFC 4180), oldest first; money in main units, `price` without tax. */
export const writeLedger = (entries: Entry[], currency: string): string => {
  const money = (minor: Minor) => writeMoney(minor, currency);
  return writeTable(
    COLUMNS,
    oldestFirst(entries).map((entry) => ({
      date: entry.date,
      store: entry.store,
      item: entry.item,
      qty: String(entry.quantity),
      pack: String(entry.pack),
      price: money(entry.price),
      tax: money(entry.tax),
      paid: money(paidFor(entry)),
      category: entry.category,
      note: entry.note,
    })),
  );
};

/**
 * A ledger as a plain-text journal: a transaction for each store and day, a posting for each thing, tax by itself, and
 * what balances it from cash. Amounts with their currency; names keep clear of what a journal reads otherwise.
 */
export const writeJournal = (entries: Entry[], currency: string, project: string): string => {
  const money = (minor: Minor) => writeMoney(minor, currency);
  const groups = new Map<string, Entry[]>();
  for (const entry of oldestFirst(entries)) {
    const key = `${entry.date} ${plain(entry.store)}`;
    groups.set(key, [...(groups.get(key) ?? []), entry]);
  }
  const transactions = [...groups].map(([head, of]) => {
    const tax = of.reduce((sum, entry) => sum + entry.tax, 0);
    const all = of.reduce((sum, entry) => sum + paidFor(entry), 0);
    const posting = (account: string, sum: Minor, note = '') =>
      `    ${account.padEnd(40)}  ${currency} ${money(sum)}${note === '' ? '' : `  ; ${plain(note)}`}`;
    return [
      head,
      ...of.map((entry) => posting(`Expenses:${plain(project)}:${entry.category}`, entry.price, `${entry.quantity} x ${entry.item}`)),
      ...(tax === 0 ? [] : [posting(`Expenses:${plain(project)}:tax`, tax)]),
      posting('Assets:Cash', -all),
    ].join('\n');
  });
  return `${transactions.join('\n\n')}\n`;
}; // prettier-ignore

const oldestFirst = (entries: Entry[]): Entry[] =>
  [...entries].sort((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : 0));

/** A name on one line, without what parts accounts or begins a comment. */
const plain = (text: string): string =>
  text
    .replace(/[\r\n;:]+/g, ' ')
    .replace(/\s{2,}/g, ' ')
    .trim();

import { paidInAll, type Entry } from '../budget';
import { writeMoney, type Minor } from '../units';
import { oldestFirst } from './ledgerCsv';

/**
 * A ledger as a plain-text journal: a transaction for each store and day, a posting for each thing, tax by itself, and
 * what balances it from cash. Amounts with their currency; names keep clear of what a journal reads otherwise.
 */
export const writeJournal = (entries: Entry[], currency: string, project: string): string => {
  const money = (minor: Minor) => writeMoney(minor, currency);
  const expenses = `Expenses:${plain(project) || 'project'}`;
  const groups = new Map<string, Entry[]>();
  for (const entry of oldestFirst(entries)) {
    const key = `${entry.date} ${plain(entry.store) || 'a store'}`;
    groups.set(key, [...(groups.get(key) ?? []), entry]);
  }
  const transactions = [...groups].map(([head, of]) => {
    const tax = of.reduce((sum, entry) => sum + entry.tax, 0);
    const all = paidInAll(of);
    const posting = (account: string, sum: Minor, note = '') =>
      `    ${account.padEnd(40)}  ${currency} ${money(sum)}${note === '' ? '' : `  ; ${plain(note)}`}`;
    return [
      head,
      ...of.map((entry) =>
        posting(`${expenses}:${entry.category}`, entry.price, `${entry.quantity} x ${entry.item}`),
      ),
      ...(tax === 0 ? [] : [posting(`${expenses}:tax`, tax)]),
      posting('Assets:Cash', -all),
    ].join('\n');
  });
  return `${transactions.join('\n\n')}\n`;
};

/** A name on one line, without what parts accounts, begins a comment, or before a payee says something of its own. */
const plain = (text: string): string =>
  text
    .replace(/[;:\s]+/g, ' ')
    .replace(/^[ *!(]+/, '')
    .trim();

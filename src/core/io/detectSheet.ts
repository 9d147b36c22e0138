import { readHead } from './table';

/** What a table in a file can be. */
export type SheetKind = 'parts' | 'prices' | 'ledger' | 'owned';

/** What its headings say a table is: those that our own files have; null where they are another's. */
export const detectSheet = (text: string): SheetKind | null => {
  const named = new Set(readHead(text, 0).headings.map((heading) => heading.toLowerCase()));
  const has = (...columns: string[]): boolean => columns.every((column) => named.has(column));
  if (has('part', 'qty')) return 'parts';
  if (has('date', 'store', 'item', 'paid') || has('date', 'store', 'item', 'price', 'tax')) return 'ledger';
  if (has('store', 'price')) return 'prices';
  // Of what is owned no column must be there; a price or a store it never has.
  const isOwned = has('qty') && (has('section') || has('item') || has('material'));
  return isOwned && !['part', 'store', 'price', 'paid', 'date'].some((column) => has(column))
    ? 'owned'
    : null;
};

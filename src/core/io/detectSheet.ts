import { readHead } from './table';

/** What a table in a file can be. */
export type SheetKind = 'parts' | 'prices' | 'ledger';

/** What its headings say a table is: those that our own files have; null where they are another's. */
export const detectSheet = (text: string): SheetKind | null => {
  const named = new Set(readHead(text, 0).headings.map((heading) => heading.toLowerCase()));
  const has = (...columns: string[]): boolean => columns.every((column) => named.has(column));
  if (has('part', 'qty')) return 'parts';
  if (has('date', 'store', 'item', 'paid') || has('date', 'store', 'item', 'price', 'tax')) return 'ledger';
  return has('store', 'price') ? 'prices' : null;
};

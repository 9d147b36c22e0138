import type { Project, Purchase } from '@/core/project';
import type { PurchaseAt } from '@/forms';
import { blankLine } from './blanks';

/** What is open beside the ledger: its target, a purchase to be written, a line of one, or one more line of a receipt. */
export type Opened =
  | { kind: 'target' }
  | { kind: 'record' }
  | { kind: 'line'; purchaseId: string; line: number }
  | { kind: 'more'; purchaseId: string }
  | null;

/** What is open as it stands in the address: `target`, `record`, `line:p1/0`, `more:p1`. */
export const openedIn = (text: string): Opened => {
  if (text === 'target' || text === 'record') return { kind: text };
  const [, purchaseId, line] = /^line:(.+)\/(\d+)$/.exec(text) ?? [];
  if (purchaseId) return { kind: 'line', purchaseId, line: Number(line) };
  const [, more] = /^more:(.+)$/.exec(text) ?? [];
  return more ? { kind: 'more', purchaseId: more } : null;
};

/** What is open beside the ledger, as it stands in the address. */
export const writeOpened = (opened: NonNullable<Opened>): string => {
  if (opened.kind === 'line') return `line:${opened.purchaseId}/${opened.line}`;
  return opened.kind === 'more' ? `more:${opened.purchaseId}` : opened.kind;
};

/** The line of a purchase that is open, `blank` where it is a new one; null: none is, or it is gone. */
export const purchaseAt = ({ purchases }: Project, opened: Opened, blank: Purchase): PurchaseAt | null => {
  if (opened?.kind === 'record') return { purchase: blank, line: 0, isNew: true };
  if (opened?.kind !== 'line' && opened?.kind !== 'more') return null;
  const purchase = purchases.find(({ id }) => id === opened.purchaseId);
  if (!purchase) return null;
  if (opened.kind === 'line')
    return purchase.lines[opened.line] ? { purchase, line: opened.line, isNew: false } : null;
  const lines = [...purchase.lines, blankLine()];
  return { purchase: { ...purchase, lines }, line: purchase.lines.length, isNew: true };
};

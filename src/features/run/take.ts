import { lineCost, type RunLine } from '@/core/budget';
import { valueOr, type Result } from '@/core/result';
import { formatTag, parseCount, parseMoney, parseTag, type Micros, type Minor } from '@/core/units';
import { newestOf, offerAt, perPurchase, tierFor, UNIT_WORDS } from '@/core/pricing';
import type { Book, Price, Project } from '@/core/project';

/** What is typed of one thing at the shelf. `tag`: blank is as the price book says. */
export interface TakeDraft {
  quantity: string;
  tag: string;
  /** What becomes of those that are not taken. */
  rest: 'stays' | 'gone';
}

/** What is taken of a line of the list in the store. */
export interface Take {
  count: Result<number>;
  /** How many, as far as it is read; the line's own number otherwise. */
  many: number;
  /** The observation that the price book has; null: none, and a sum is asked for. */
  seen: Price | null;
  /** What was typed as a price or a sum; null: nothing. */
  typed: Result<number> | null;
  /** The tag's price, in its own unit, where it is not the book's. */
  other: Micros | null;
  /** For all of them, with tax. */
  paid: Minor;
  isReady: boolean;
  /** Those not taken are not there. */
  isGone: boolean;
  /** ` each`, ` a pack of 4`; empty where nothing was seen. */
  per: string;
  /** What is not as planned, in words; null: nothing. */
  cause: string | null;
}

/** Reads what was typed of a line: at the shelf a price as its tag writes it; of what has no price there, the sum paid. */
export const readTake = (
  line: RunLine,
  { quantity, tag, rest }: TakeDraft,
  { project, book }: { project: Project; book: Book },
): Take => {
  const seen = seenOf(line, book);
  const count = parseCount(quantity);
  const many = count.ok ? count.value : line.quantity;
  const isTyped = tag.trim() !== '';
  const tagged = isTyped && seen ? parseTag(tag) : null;
  const sum = isTyped && !seen ? parseMoney(tag, project.currency) : null;
  const typed = tagged ?? sum;
  const other = seen && tagged?.ok && tagged.value !== seen.price ? tagged.value : null;
  const isGone = rest === 'gone' && many < line.quantity;
  const per = seen ? ` ${perWords(seen)}` : '';
  return {
    count,
    many,
    seen,
    typed,
    other,
    paid: sum ? valueOr(sum, 0) : paidFor(line, many, seen, other, { project, book }),
    isReady: count.ok && (typed === null || typed.ok),
    isGone,
    per,
    cause: causeOf(line, many, {
      isGone,
      tag: other === null ? null : `${formatTag(other, project.currency)}${per}`,
    }),
  };
};

const seenOf = (line: RunLine, book: Book): Price | null => {
  const offer = offerAt(book, line.offerKey);
  return offer ? (tierFor(offer.tiers, line.quantity)?.price ?? newestOf(offer)) : null;
};

const paidFor = (
  line: RunLine,
  many: number,
  seen: Price | null,
  other: Micros | null,
  context: { project: Project; book: Book },
): Minor => {
  const unitPrice = seen && other !== null ? perPurchase({ ...seen, price: other }) : null;
  return lineCost(line, many, { ...context, unitPrice: unitPrice ?? undefined });
};

const perWords = ({ pack, unit }: Price): string => {
  if (pack > 1 && unit !== 'pack') return `a pack of ${pack}`;
  return unit === 'pack' && pack === 1 ? 'each' : UNIT_WORDS[unit];
};

/** `tag`: another price than planned, in words. */
const causeOf = (
  { name, quantity }: RunLine,
  many: number,
  { isGone, tag }: { isGone: boolean; tag: string | null },
): string | null => {
  if (isGone) return `only ${many} × ${name} there`;
  if (tag !== null) return `${name} costs ${tag} here`;
  if (many < quantity) return `${many} × ${name} taken, not ${quantity}`;
  return many > quantity ? `${many} × ${name} taken instead of ${quantity}` : null;
};

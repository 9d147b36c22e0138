import { addDays, daysBetween, type Minor } from '../units';
import { paidInAll, type Entry } from './ledger';

/** What was spent up to a day, and what will have been, by the forecast. */
export interface DayMoney {
  /** ISO date. */
  date: string;
  /** Null on days to come. */
  spent: Minor | null;
  /** From today on: what is still to be spent, spread evenly up to the last day. Null before. */
  forecast: Minor | null;
}

/** So many points are enough on a phone. */
const MAX_POINTS = 40;
/** Without a day by which it is to be done, what is to buy is drawn as bought within a fortnight. */
const FORTNIGHT = 14;

/** The money of a project day by day, from the first that was paid to the day when all is bought. Empty: nothing was paid. */
export const spentOverTime = (
  entries: Entry[],
  forecast: Minor,
  today: string,
  until: string | null,
): DayMoney[] => {
  if (entries.length === 0) return [];
  const paid = paidInAll(entries);
  /** Days are counted from that of the first entry. */
  const start = entries[0]?.date ?? today;
  const dayOf = (iso: string): number => daysBetween(start, iso);
  const days = entries.map(({ date }) => dayOf(date));
  const now = Math.max(dayOf(today), ...days);
  const first = Math.min(...days);
  const last = forecast === paid ? now : Math.max(now + 1, until === null ? now + FORTNIGHT : dayOf(until));
  const step = Math.max(1, Math.ceil((last - first) / MAX_POINTS));
  const drawn = [...new Set([...range(first, now, step), now, ...range(now, last, step), last])].sort(
    (a, b) => a - b,
  );
  return drawn.map((day) => ({
    date: addDays(start, day),
    spent: day > now ? null : paidInAll(entries.filter((_, index) => (days[index] ?? 0) <= day)),
    forecast:
      day < now
        ? null
        : last === now
          ? paid
          : Math.round(paid + ((forecast - paid) * (day - now)) / (last - now)),
  }));
};

const range = (from: number, to: number, step: number): number[] =>
  Array.from({ length: Math.max(0, Math.floor((to - from) / step) + 1) }, (_, index) => from + index * step);

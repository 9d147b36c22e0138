import type { Decision } from '@/core/project';
import { formatDay, formatMoney, type Minor } from '@/core/units';

/** `Chosen on 2 Dec 2026: 257.02 then, and 271.16 without it.` */
export const decidedWords = ({ day, before, after }: Decision, currency: string): string => {
  const when = `Chosen on ${formatDay(day)}`;
  return before === null || after === null
    ? `${when}.`
    : `${when}: ${formatMoney(after, currency)} then, and ${formatMoney(before, currency)} without it.`;
};

/** Whether it would be chosen again for its money, by how much more the other costs today. */
export const todayWords = (more: Minor, currency: string): string =>
  more > 0
    ? `At today’s prices it still saves ${formatMoney(more, currency)}.`
    : more < 0
      ? `At today’s prices it costs ${formatMoney(-more, currency)} more than without it.`
      : 'At today’s prices both cost the same.';

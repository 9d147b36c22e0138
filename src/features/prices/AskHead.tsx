import { useMemo } from 'react';
import { View } from 'react-native';
import { capital } from '@/core/capital';
import { unfitFor } from '@/core/compare/fit';
import { isStale, newestOf } from '@/core/pricing';
import { tagName } from '@/core/project';
import { formatDay } from '@/core/units';
import { asSold } from '@/forms';
import { Text } from '@/ui';
import { lastPrice, type Ask } from './aisle';
import type { PriceBookView } from './priceBookView';

/** What is asked for, what it was last, and where it is cheapest. */
export const AskHead = ({ desk, ask, storeId }: { desk: PriceBookView; ask: Ask; storeId: string }) => {
  const { projects, book } = desk;
  const unfit = useMemo(() => unfitFor(ask.item, projects, book), [ask.item, projects, book]);
  const last = lastPrice(ask);
  const lastDay = ask.last ? newestOf(ask.last).date : null;
  const age = lastDay
    ? `, ${formatDay(lastDay)}${isStale(lastDay, desk.today, desk.staleAfter) ? ' (old)' : ''}`
    : '';
  const before =
    last && ask.last
      ? `last ${asSold({ ...last, pack: ask.last.pack, minQty: 1 }, desk.currency)}${age}`
      : 'never seen here';
  return (
    <View>
      <Text size="title">{tagName(ask.item)}</Text>
      <Text size="small" tone="soft">
        {[`for ${ask.for.join(', ')}`, before, cheapestElsewhere(desk, ask, storeId)]
          .filter(Boolean)
          .join(' · ')}
      </Text>
      {unfit ? (
        <Text size="small" tone="bad">
          {`${capital(unfit.material)} is not fit for ${unfit.group}: ${unfit.sentence}`}
        </Text>
      ) : null}
    </View>
  );
};

/** `$3.75 at Harrow Lumber`: the least that the same thing costs elsewhere, as sold. */
const cheapestElsewhere = ({ offers, book, currency }: PriceBookView, ask: Ask, storeId: string): string => {
  const itemKeyOf = ask.last?.itemKey;
  const others = offers
    .filter(
      (offer) =>
        offer.storeId !== storeId &&
        offer.available !== 0 &&
        (itemKeyOf ? offer.itemKey === itemKeyOf : offer.name === tagName(ask.item)),
    )
    .sort((a, b) => (a.tiers[0]?.unitPrice ?? 0) / a.pack - (b.tiers[0]?.unitPrice ?? 0) / b.pack);
  const [best] = others;
  if (!best) return '';
  return `${asSold(newestOf(best), currency)} at ${book.stores[best.storeId]?.name ?? ''}`;
};

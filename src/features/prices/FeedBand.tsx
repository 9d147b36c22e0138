import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { daysBetween, formatDayShort, formatMoney, weekday } from '@/core/units';
import { usePlanDifference } from '@/hooks';
import { count } from '@/forms';
import { Button, useColors, Text } from '@/ui';
import type { PriceBookView } from './priceBookView';
import { bookWith, type FeedState } from './news';

/** `since Tuesday` within a week, `since 3 Nov`; blank when never looked at. */
export const sinceWords = (date: string | null, today: string): string => {
  if (date === null) return '';
  const days = daysBetween(date, today);
  if (days <= 0) return ' since this morning';
  if (days === 1) return ' since yesterday';
  if (days < 7) return ` since ${weekday(date)}`;
  return ` since ${formatDayShort(date)}`;
};

/** What the followed stores have told, in one line: `23 prices changed since Tuesday: +3.10 on your open projects`. */
export const FeedBand = ({
  desk,
  feed,
  onReview,
}: {
  desk: PriceBookView;
  feed: FeedState;
  onReview: () => void;
}) => {
  const colors = useColors();
  const { news, isOffline, isAsking, trouble, again } = feed;
  const next = useMemo(() => bookWith(desk.book, news), [desk.book, news]);
  const difference = usePlanDifference(desk.projects, desk.book, next);
  const number = news.reduce((sum, { changes }) => sum + changes.length, 0);
  const first = news.map(({ store }) => store.feed?.taken ?? null).sort()[0] ?? null;
  const isNew = news.every(({ store }) => store.feed?.taken === null);
  if (number === 0 && !trouble && !isOffline) return null;
  const money =
    difference === null
      ? ''
      : difference === 0
        ? ': no difference to your open projects'
        : `: ${difference > 0 ? '+' : '−'}${formatMoney(Math.abs(difference), desk.currency)} on your open projects`;
  return (
    <View
      style={[styles.band, { backgroundColor: colors.pale, borderColor: colors.spruce }]}
      role="status"
      aria-label="Price services"
    >
      <View style={styles.grow}>
        {number > 0 ? (
          <Text>
            {isNew
              ? `${count(number, 'price')} to look at${money}`
              : `${count(number, 'price')} changed${sinceWords(first, desk.today)}${money}`}
          </Text>
        ) : null}
        {trouble ? <Text tone="bad">{trouble}</Text> : null}
        {isOffline && !trouble ? (
          <Text tone="soft">No signal: the stores are asked again when there is one.</Text>
        ) : null}
      </View>
      {trouble ? (
        <Button mode="outlined" onPress={again} disabled={isAsking}>
          {isAsking ? 'Asking …' : 'Ask again'}
        </Button>
      ) : null}
      {number > 0 ? (
        <Button mode="contained" onPress={onReview}>
          Look at them
        </Button>
      ) : null}
    </View>
  );
};

const styles = StyleSheet.create({
  band: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: 12,
    padding: 12,
    marginHorizontal: 16,
    marginBottom: 12,
    borderWidth: 1,
  },
  grow: { flexGrow: 1, flexShrink: 1, flexBasis: 220 },
});

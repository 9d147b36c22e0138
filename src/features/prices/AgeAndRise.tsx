import { StyleSheet, View } from 'react-native';
import { priceSensitivity } from '@/core/budget';
import { formatDay, formatMoney } from '@/core/units';
import { isStale, knownOn, offerAt } from '@/core/pricing';
import type { Project } from '@/core/project';
import { shownPlan } from '@/core/plan';
import { useSnapshot } from '@/hooks';
import { count } from '@/forms';
import { SectionHeader, Text } from '@/ui';
import type { PriceBookView } from './priceBookView';

const RISES = [0.05, 0.1, 0.2];

/** How old the prices are that the plan rests on, and what dearer wood would do to the target. */
export const AgeAndRise = ({ desk, project }: { desk: PriceBookView; project: Project }) => {
  const { today, staleAfter, currency } = desk;
  const snapshot = useSnapshot(project.id);
  const shown = shownPlan(snapshot?.plan ?? null);
  if (!snapshot || !shown || shown.buys.length === 0) return null;
  const { book, money } = snapshot;
  const dates = shown.buys.map(({ offerKey }) => {
    const offer = offerAt(book, offerKey);
    return offer ? knownOn(offer, book) : null;
  });
  const old = dates.filter((date) => isStale(date, today, staleAfter)).length;
  const known = dates.filter((date): date is string => date !== null).sort();
  const oldest = known[0];
  const undated = dates.length - known.length;
  const left = money.left;
  return (
    <View role="region" aria-label="How far the prices hold">
      <SectionHeader
        title="The prices in the plan"
        note={old === 0 ? 'all seen lately' : `${old} of ${dates.length} older than ${staleAfter} days`}
        {...(old > 0 ? { tone: 'bad' as const } : {})}
      />
      <View style={styles.pad}>
        <Text>
          {oldest ? `The oldest was seen ${formatDay(oldest)}` : 'None has a date'}
          {undated > 0 && oldest ? `, and ${count(undated, 'has', 'have')} no date` : ''}.
        </Text>
        <View style={styles.rises}>
          {RISES.map((share) => {
            const rise = priceSensitivity(shown, share);
            const after = left === null ? null : left - rise;
            return (
              <View key={share} style={styles.rise}>
                <Text size="small" tone="soft">
                  Wood +{Math.round(share * 100)} %
                </Text>
                <Text size="strong">+{formatMoney(rise, currency)}</Text>
                {after === null ? null : (
                  <Text size="small" tone={after < 0 ? 'bad' : 'soft'}>
                    {after < 0
                      ? `${formatMoney(-after, currency)} over`
                      : `${formatMoney(after, currency)} left`}
                  </Text>
                )}
              </View>
            );
          })}
        </View>
      </View>
    </View>
  );
};

const styles = StyleSheet.create({
  pad: { paddingHorizontal: 16, paddingVertical: 10, gap: 8 },
  rises: { flexDirection: 'row', flexWrap: 'wrap', gap: 16 },
  rise: { flexGrow: 1, flexBasis: 100 },
});

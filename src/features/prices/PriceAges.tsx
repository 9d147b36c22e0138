import { StyleSheet, View } from 'react-native';
import { formatDay } from '@/core/units';
import { isStale, knownOn, offerAt } from '@/core/pricing';
import type { Project } from '@/core/project';
import { shownPlan } from '@/core/plan';
import { useSnapshot } from '@/hooks';
import { count } from '@/forms';
import { SectionHeader, Text } from '@/ui';
import type { PriceBookView } from './priceBookView';

/** How old the prices are that the plan rests on. */
export const PriceAges = ({ desk, project }: { desk: PriceBookView; project: Project }) => {
  const { today, staleAfter } = desk;
  const snapshot = useSnapshot(project.id);
  const shown = shownPlan(snapshot?.plan ?? null);
  if (!snapshot || !shown || shown.buys.length === 0) return null;
  const { book } = snapshot;
  const dates = shown.buys.map(({ offerKey }) => {
    const offer = offerAt(book, offerKey);
    return offer ? knownOn(offer, book) : null;
  });
  const old = dates.filter((date) => isStale(date, today, staleAfter)).length;
  const known = dates.filter((date): date is string => date !== null).sort();
  const oldest = known[0];
  const undated = dates.length - known.length;
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
      </View>
    </View>
  );
};

const styles = StyleSheet.create({
  pad: { paddingHorizontal: 16, paddingVertical: 10, gap: 8 },
});

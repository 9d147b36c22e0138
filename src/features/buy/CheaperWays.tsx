import { StyleSheet, View } from 'react-native';
import { Link } from 'expo-router';
import type { Saving } from '@/core/compare';
import { formatMoney } from '@/core/units';
import { type PlannedProject } from '@/hooks';
import { takeWay, useWaysToSave } from '@/hooks/compare';
import { Button, Row, SectionHeader, Text } from '@/ui';

/** So many of the best are shown; all of them are under Compare. */
const SHOWN = 2;

/** The best ways to pay less for the same thing, each with its catch: looked for once the plan stands. */
export const CheaperWays = ({ open, isIdle }: { open: PlannedProject; isIdle: boolean }) => {
  const { project, plan, money, request } = open;
  const { ways } = useWaysToSave(request, isIdle ? plan : null);
  const best = ways
    .filter(({ kind, isWhole, isForEach }) => kind !== 'later' && isWhole && !isForEach)
    .sort((a, b) => b.saves - a.saves)
    .slice(0, SHOWN);
  if (best.length === 0) return null;
  const take = (way: Saving) =>
    takeWay(
      open,
      { ...way, name: way.title, sums: { before: money.total, after: money.total - way.saves } },
      `${way.title}: ${formatMoney(way.saves, project.currency)} less.`,
    );
  return (
    <View role="region" aria-label="It could cost less">
      <SectionHeader title="It could cost less" />
      {best.map((way) => (
        <Row key={way.id} style={styles.row}>
          <View style={styles.head}>
            <Text style={styles.grow}>{way.title}</Text>
            <Text size="strong" tone="good">
              {formatMoney(-way.saves, project.currency)}
            </Text>
          </View>
          <Text size="small" tone="soft">
            {way.tradeOff}
          </Text>
          <Button
            mode="outlined"
            compact
            style={styles.take}
            accessibilityLabel={`Take: ${way.title}`}
            onPress={() => take(way)}
          >
            Take it
          </Button>
        </Row>
      ))}
      <Link href={`/project/${project.id}/compare`} style={styles.link}>
        <Text tone="good">All ways to save</Text>
      </Link>
    </View>
  );
};

const styles = StyleSheet.create({
  row: { paddingHorizontal: 16, paddingVertical: 10, gap: 2 },
  head: { flexDirection: 'row', gap: 12, alignItems: 'baseline' },
  grow: { flex: 1 },
  take: { alignSelf: 'flex-start', marginTop: 4 },
  link: { paddingHorizontal: 16, minHeight: 44, paddingVertical: 12 },
});

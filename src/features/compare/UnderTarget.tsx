import { StyleSheet, View } from 'react-native';
import { ActivityIndicator } from 'react-native-paper';
import type { Combination, UnderTarget as Found } from '@/core/compare';
import { formatMoney } from '@/core/units';
import { Button, Row, SectionHeader, Text } from '@/ui';

interface Props {
  found: Found | null;
  isLooking: boolean;
  /** How far the project is over its target. */
  over: number;
  /** Groups each of which alone breaks the target, with what it comes to. */
  alone: { name: string; sum: number }[];
  currency: string;
  onTake: (combination: Combination, name: string) => void;
}

/** How the target can be reached: ways to save taken together, the one that gives up least first. */
export const UnderTarget = ({ found, isLooking, over, alone, currency, onTake }: Props) => {
  const money = (sum: number) => formatMoney(sum, currency);
  const reached = found?.reached ?? [];
  const nearest = found?.nearest ?? null;
  return (
    <View role="region" aria-label="How to get under the target">
      <SectionHeader title="How to get under the target" note={`${money(over)} over`} tone="bad" />
      <View style={styles.state} aria-live="polite">
        {isLooking ? <ActivityIndicator size={16} /> : null}
        <Text size="small" tone="soft" style={styles.grow}>
          {stateWords(found, isLooking)}
        </Text>
      </View>
      {alone.map(({ name, sum }) => (
        <Text key={name} size="small" tone="soft" style={styles.alone}>
          {`${name} alone breaks the target: ${money(sum)} of it.`}
        </Text>
      ))}
      <View role="list" aria-label="Ways under the target">
        {reached.map((one) => (
          <Together key={one.id} one={one} money={money} onTake={onTake} />
        ))}
        {nearest && !isLooking ? <Together one={nearest} money={money} onTake={onTake} /> : null}
      </View>
    </View>
  );
};

const stateWords = (found: Found | null, isLooking: boolean): string => {
  if (isLooking) return 'Planning ways to save together, each combination anew.';
  if (!found || (found.reached.length === 0 && !found.nearest))
    return 'No way to save was found at these prices.';
  const rest = found.isAll ? '' : ' There was no time for all combinations.';
  if (found.reached.length === 0)
    return `None of the ways to save brings it under the target, alone or together. This comes nearest.${rest}`;
  const order = found.reached.length > 1 ? ' What gives up least stands first.' : '';
  return `Each is planned and checked as a whole.${order}${rest}`;
};

const Together = ({
  one,
  money,
  onTake,
}: {
  one: Combination;
  money: (sum: number) => string;
  onTake: (one: Combination, name: string) => void;
}) => {
  const { ways, total, left } = one;
  const title = ways.map((way) => way.title).join(' + ');
  return (
    <View role="listitem">
      <Row style={styles.row}>
        <View style={styles.head}>
          <Text size="strong" style={styles.grow}>
            {title}
          </Text>
          <Text size="strong" align="right">
            {money(total)}
          </Text>
        </View>
        <Text size="small" tone={left >= 0 ? 'good' : 'bad'}>
          {left >= 0
            ? `${money(one.saves)} less, ${left === 0 ? 'just on the target' : `${money(left)} left of it`}`
            : `${money(one.saves)} less, still ${money(-left)} above the target`}
        </Text>
        {ways.map(({ id, title: name, tradeOff }) => (
          <Text key={id} size="small" tone="soft">
            {ways.length > 1 ? `${name}: ${tradeOff}` : tradeOff}
          </Text>
        ))}
        <View style={styles.buttons}>
          <Button
            mode={left >= 0 ? 'contained' : 'outlined'}
            compact
            accessibilityLabel={`Take: ${title}`}
            onPress={() => onTake(one, title)}
          >
            {ways.length > 1 ? 'Take all of it' : 'Take it'}
          </Button>
        </View>
      </Row>
    </View>
  );
};

const styles = StyleSheet.create({
  state: { flexDirection: 'row', alignItems: 'center', gap: 10, paddingHorizontal: 16, paddingVertical: 8 },
  grow: { flex: 1 },
  alone: { paddingHorizontal: 16, paddingBottom: 8 },
  row: { paddingHorizontal: 16, paddingVertical: 12, gap: 2 },
  head: { flexDirection: 'row', gap: 12, alignItems: 'baseline' },
  buttons: { flexDirection: 'row', gap: 8, marginTop: 6 },
});

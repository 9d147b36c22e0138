import { StyleSheet, View } from 'react-native';
import { formatWhole } from '@/core/units';
import { Text } from './Text';
import { useColors } from './theme';

/** What the colours of a chart mean, and the line of the target. */
export const Legend = ({
  entries,
  target,
  currency,
}: {
  entries: { color: string; word: string }[];
  target: number | null;
  currency: string;
}) => {
  const colors = useColors();
  return (
    <View style={styles.legend}>
      {target === null ? null : (
        <View style={styles.entry}>
          <View testID="swatch" style={[styles.line, { backgroundColor: colors.ink }]} />
          <Text size="small">your target, {formatWhole(target, currency)}</Text>
        </View>
      )}
      {entries.map(({ color, word }) => (
        <View key={word} style={styles.entry}>
          <View
            testID="swatch"
            style={[styles.swatch, { backgroundColor: color, borderColor: colors.soft }]}
          />
          <Text size="small">{word}</Text>
        </View>
      ))}
    </View>
  );
};

const styles = StyleSheet.create({
  legend: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 14, rowGap: 2, marginTop: 2 },
  entry: { flexDirection: 'row', alignItems: 'center', gap: 6 },
  swatch: { width: 12, height: 12, borderWidth: 1 },
  line: { width: 22, height: 2.5 },
});

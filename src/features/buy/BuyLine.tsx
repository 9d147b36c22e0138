import { StyleSheet, View } from 'react-native';
import { Checkbox, Row, StatusBadge, Text, useColors } from '@/ui';

interface LineProps {
  title: string;
  note: string;
  /** What to look at before it is bought; blank: nothing. */
  warning?: string;
  sum: string;
  isBought: boolean;
  onTick: () => void;
  onOpen: () => void;
}

/** One line of the shopping list: a tick buys it, a touch says what was paid. */
export const BuyLine = ({ title, note, warning, sum, isBought, onTick, onOpen }: LineProps) => {
  const colors = useColors();
  return (
    <View style={[styles.line, { backgroundColor: colors.card, borderColor: colors.hairline }]}>
      <Checkbox isTicked={isBought} label={`${title}: bought`} onPress={onTick} />
      <Row
        onPress={onOpen}
        label={`${title}, ${sum}: ${isBought ? 'change what was paid' : 'bought at another price'}`}
        style={styles.row}
      >
        <View style={styles.inside}>
          <View style={styles.grow}>
            <Text struck={isBought} tone={isBought ? 'soft' : 'ink'}>
              {title}
            </Text>
            <Text size="small" tone="soft">
              {note}
              {warning ? (
                <Text size="small" tone="bad">
                  {` · ${warning}`}
                </Text>
              ) : null}
            </Text>
          </View>
          {isBought ? <StatusBadge text="bought" /> : null}
          <Text size="strong">{sum}</Text>
        </View>
      </Row>
    </View>
  );
};

const styles = StyleSheet.create({
  line: { flexDirection: 'row', borderBottomWidth: 1 },
  row: { flex: 1, paddingVertical: 10, paddingRight: 16, borderBottomWidth: 0 },
  inside: { flexDirection: 'row', alignItems: 'center', gap: 12 },
  grow: { flex: 1 },
});

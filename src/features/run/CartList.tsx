import { StyleSheet, View } from 'react-native';
import { tagName, wholeLines, type Purchase } from '@/core/project';
import { SectionHeader, Row, Checkbox, useColors, Text } from '@/ui';

/** What lies in the cart: a tick takes it out, a touch beside it mends what it costs. */
export const CartList = ({
  cart,
  said,
  onOut,
  onOpen,
}: {
  cart: Purchase;
  said: (sum: number) => string;
  onOut: (index: number) => void;
  onOpen: (index: number) => void;
}) => {
  const colors = useColors();
  return (
    <View role="group" aria-label="In the cart">
      <SectionHeader title="In the cart" note={said(wholeLines(cart))} />
      {cart.lines.map((line, index) => {
        const name = `${line.quantity} × ${tagName(line.item)}`;
        const paid = said(line.price + line.tax);
        return (
          <View key={index} style={[styles.line, { backgroundColor: colors.card }]}>
            <Checkbox isTicked label={`${name}: in the cart`} onPress={() => onOut(index)} />
            <Row label={`Change ${name}, ${paid}`} onPress={() => onOpen(index)} style={styles.row}>
              <View style={styles.inside}>
                <View style={styles.grow}>
                  <Text tone="soft" struck>
                    {name}
                  </Text>
                  {line.for === undefined ? null : <Text size="small" tone="soft">{`for ${line.for}`}</Text>}
                </View>
                <Text>{paid}</Text>
              </View>
            </Row>
          </View>
        );
      })}
    </View>
  );
};

const styles = StyleSheet.create({
  line: { flexDirection: 'row' },
  row: { flex: 1, minHeight: 52, paddingVertical: 12, paddingRight: 16 },
  inside: { flexDirection: 'row', alignItems: 'center', gap: 12 },
  grow: { flex: 1 },
});

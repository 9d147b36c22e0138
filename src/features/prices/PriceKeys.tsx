import { Pressable, StyleSheet, View } from 'react-native';
import { useColors, Text } from '@/ui';

interface Props {
  value: string;
  onChange: (value: string) => void;
  onNext: () => void;
}

const ROWS = [
  ['7', '8', '9'],
  ['4', '5', '6'],
  ['1', '2', '3'],
  ['.', '0', '⌫'],
];

/** Large keys for prices, at the foot in reach of one thumb; Next goes on to the next thing. */
export const PriceKeys = ({ value, onChange, onNext }: Props) => {
  const colors = useColors();
  const press = (key: string) => {
    if (key === '⌫') onChange(value.slice(0, -1));
    else if (key !== '.' || !value.includes('.')) onChange(value + key);
  };
  const keep = {
    // The field keeps the focus.
    onMouseDown: (event: { preventDefault: () => void }) => event.preventDefault(),
  };
  return (
    <View
      style={[styles.pad, { borderColor: colors.ink, backgroundColor: colors.paper }]}
      role="group"
      aria-label="Keypad for prices"
      testID="keypad"
    >
      <View style={styles.digits}>
        {ROWS.map((row) => (
          <View key={row.join('')} style={styles.row}>
            {row.map((key) => (
              <Pressable
                key={key}
                role="button"
                aria-label={key === '⌫' ? 'Erase' : key}
                tabIndex={-1}
                onPress={() => press(key)}
                {...(keep as object)}
                style={({ pressed }) => [
                  styles.key,
                  { borderColor: colors.hairline, backgroundColor: pressed ? colors.pale : colors.card },
                ]}
              >
                <Text size="title" role="presentation">
                  {key}
                </Text>
              </Pressable>
            ))}
          </View>
        ))}
      </View>
      <Pressable
        role="button"
        aria-label="Next"
        tabIndex={-1}
        onPress={onNext}
        {...(keep as object)}
        style={[styles.next, { backgroundColor: colors.spruce, borderColor: colors.spruce }]}
      >
        <Text size="strong" style={{ color: colors.card }}>
          Next
        </Text>
      </Pressable>
    </View>
  );
};

const KEY = 52;

const styles = StyleSheet.create({
  pad: { flexDirection: 'row', borderTopWidth: 1 },
  digits: { flex: 3 },
  row: { flexDirection: 'row' },
  key: {
    flex: 1,
    height: KEY,
    alignItems: 'center',
    justifyContent: 'center',
    borderWidth: 1,
    marginRight: -1,
    marginBottom: -1,
  },
  next: { flex: 1, alignItems: 'center', justifyContent: 'center', borderWidth: 1 },
});

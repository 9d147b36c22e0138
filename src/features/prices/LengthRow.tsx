import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { formatLength, formatTag, TICKS_PER_FOOT, type LengthUnit, type Ticks } from '@/core/units';
import { newestOf } from '@/core/pricing';
import { Text, useColors } from '@/ui';
import type { LengthCell } from './aisle';
import { byThe } from './words';

interface Props {
  cells: LengthCell[];
  /** The length that is being typed. */
  at: Ticks;
  /** Days on which a price is of this visit. */
  today: string;
  unit: LengthUnit;
  currency: string;
  onChoose: (cell: LengthCell) => void;
}

/** The lengths of a board in one row, each with its own price: tap one, type, tap the next. */
export const LengthRow = ({ cells, at, today, unit, currency, onChoose }: Props) => {
  const colors = useColors();
  return (
    <View>
      <Text size="small" tone="soft">
        {unit === 'in' ? 'Lengths in feet' : 'Lengths in mm'}
      </Text>
      <ScrollView horizontal keyboardShouldPersistTaps="always" role="group" aria-label="Lengths">
        {cells.map((cell) => {
          const { length, last } = cell;
          const isAt = length.ticks === at;
          const seen = last && newestOf(last);
          const isByMeasure = seen && seen.unit !== 'each';
          const price = seen ? formatTag(seen.price, currency) : '–';
          const per = isByMeasure ? byThe(seen.unit) : '';
          return (
            <Pressable
              key={length.ticks}
              role="button"
              aria-pressed={isAt}
              aria-label={`${said(length.ticks, unit)}: ${seen ? `${price} ${per}`.trim() : 'no price yet'}`}
              tabIndex={0}
              onPress={() => onChoose(cell)}
              // The price keeps the focus.
              {...({
                onMouseDown: (event: { preventDefault: () => void }) => event.preventDefault(),
              } as object)}
              style={[
                styles.cell,
                {
                  borderColor: isAt ? colors.ink : colors.hairline,
                  backgroundColor: isAt ? colors.pale : colors.card,
                },
              ]}
            >
              <Text size="strong" role="presentation">
                {short(length.ticks, unit)}
              </Text>
              <Text size="small" tone={seen?.date === today ? 'ink' : 'soft'} role="presentation">
                {isByMeasure ? `${price}/${seen.unit}` : price}
              </Text>
            </Pressable>
          );
        })}
      </ScrollView>
    </View>
  );
};

/** Whole feet, or millimetres; what is neither is written out. */
const short = (ticks: Ticks, unit: LengthUnit): string => {
  if (unit === 'mm') return formatLength(ticks, unit).replace(/ ?mm$/, '');
  return ticks % TICKS_PER_FOOT === 0 ? String(ticks / TICKS_PER_FOOT) : formatLength(ticks, unit);
};

/** The same to be read aloud. */
const said = (ticks: Ticks, unit: LengthUnit): string =>
  unit === 'in' && ticks % TICKS_PER_FOOT === 0 ? `${short(ticks, unit)} ft` : formatLength(ticks, unit);

const styles = StyleSheet.create({
  cell: {
    minWidth: 64,
    minHeight: 52,
    paddingHorizontal: 8,
    alignItems: 'center',
    justifyContent: 'center',
    borderWidth: 1,
    marginRight: -1,
  },
});

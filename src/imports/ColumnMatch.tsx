import { StyleSheet, View } from 'react-native';
import { PRICE_COLUMNS, type PriceColumn, type SheetReading } from '@/core/io';
import { Select, TextField, useColors, Text } from '@/ui';

interface Props {
  headings: string[];
  /** A few records, to see what is under each heading. */
  first: string[][];
  reading: SheetReading;
  onChange: (reading: SheetReading) => void;
}

const COLUMN_WORDS: Record<PriceColumn, string> = {
  store: 'store',
  item: 'item, as on the tag',
  kind: 'kind: board, sheet, hardware',
  section: 'section or thickness',
  length: 'length',
  width: 'width of a sheet',
  material: 'material',
  price: 'price',
  unit: 'what the price is for',
  pack: 'pieces in it',
  available: 'how many they have',
  unusable: 'what is lost at the ends',
  min_qty: 'from so many on',
  date: 'day it was seen',
};

const OPTIONS: { value: PriceColumn | ''; label: string }[] = [
  { value: '', label: 'nothing here' },
  ...PRICE_COLUMNS.map((column) => ({ value: column, label: COLUMN_WORDS[column] })),
];

/** Which heading of a foreign sheet stands for what: guessed, and put right by hand. */
export const ColumnMatch = ({ headings, first, reading, onChange }: Props) => {
  const colors = useColors();
  const columns = {
    ...Object.fromEntries(headings.map((heading) => [heading, '' as const])),
    ...reading.columns,
  };
  const set = (heading: string, column: PriceColumn | '') => {
    // A column stands for one heading: the other gives it up.
    const freed = Object.fromEntries(
      Object.entries(columns).map(([other, held]) => [other, held === column ? ('' as const) : held]),
    );
    onChange({ ...reading, columns: { ...freed, [heading]: column } });
  };
  const hasStore = Object.values(columns).includes('store');
  return (
    <View style={styles.match}>
      <Text>These headings are not ours. Say what each stands for.</Text>
      {headings.map((heading, index) => (
        <View key={`${index}-${heading}`} style={[styles.line, { borderColor: colors.hairline }]}>
          <View style={styles.grow}>
            <Text size="strong">{heading || 'no heading'}</Text>
            <Text size="small" tone="soft" numberOfLines={1}>
              {first
                .map((cells) => cells[index])
                .filter(Boolean)
                .join(' · ') || 'nothing in it'}
            </Text>
          </View>
          <Select
            label="is"
            value={columns[heading] ?? ''}
            options={OPTIONS}
            onChange={(column) => set(heading, column)}
          />
        </View>
      ))}
      {hasStore ? null : (
        <TextField
          label="All these prices are from the store"
          value={reading.store}
          onChange={(store) => onChange({ ...reading, store })}
          help="No heading stands for the store."
        />
      )}
    </View>
  );
};

const styles = StyleSheet.create({
  match: { gap: 8 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 12, paddingVertical: 6, borderBottomWidth: 1 },
  grow: { flex: 1 },
});

import { StyleSheet, View } from 'react-native';
import { useColors } from './theme';
import { Figure } from './Figure';
import { Text } from './Text';

/** The figures behind a chart: a table that is read row by row, its first column words and the others sums. */
export const FigureTable = ({
  about,
  columns,
  rows,
}: {
  about: string;
  columns: string[];
  /** `onPress`: where the last cell's figure comes from. */
  rows: { key: string; cells: string[]; isSum?: boolean; onPress?: () => void }[];
}) => {
  const colors = useColors();
  return (
    <View
      role="table"
      aria-label={about}
      style={[styles.table, { backgroundColor: colors.card, borderColor: colors.hairline }]}
    >
      <View role="row" style={[styles.row, { borderColor: colors.hairline }]}>
        {columns.map((column, index) => (
          <View
            key={column}
            role={column === '' ? 'cell' : 'columnheader'}
            style={index === 0 ? styles.first : styles.cell}
          >
            <Text size="small" tone="soft" align={index === 0 ? 'left' : 'right'}>
              {column}
            </Text>
          </View>
        ))}
      </View>
      {rows.map(({ key, cells, isSum, onPress }) => (
        <View key={key} role="row" style={[styles.row, { borderColor: colors.hairline }]}>
          {cells.map((cell, index) => (
            <View
              key={index}
              role={index === 0 ? 'rowheader' : 'cell'}
              style={index === 0 ? styles.first : styles.cell}
            >
              {onPress && index === cells.length - 1 ? (
                <View style={styles.figure}>
                  <Figure label={`${key}, ${cell}: where it comes from`} onPress={onPress}>
                    <Text size="small">{cell}</Text>
                  </Figure>
                </View>
              ) : (
                <Text size={isSum ? 'strong' : 'small'} align={index === 0 ? 'left' : 'right'}>
                  {cell}
                </Text>
              )}
            </View>
          ))}
        </View>
      ))}
    </View>
  );
};

const styles = StyleSheet.create({
  table: { borderTopWidth: 1, marginBottom: 14, maxWidth: 780 },
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    paddingHorizontal: 16,
    paddingVertical: 7,
    borderBottomWidth: 1,
  },
  first: { flex: 1.4 },
  cell: { flex: 1 },
  figure: { alignItems: 'flex-end' },
});

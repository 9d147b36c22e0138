import type { ComponentProps } from 'react';
import { StyleSheet, View, type ViewStyle } from 'react-native';
import type { OwnMaterials } from '@/core/lumber';
import { formatMoney } from '@/core/units';
import { Legend, Text, useColors } from '@/ui';
import { barsOf, type Column } from './columns';
import { useWoodColors, useWoodLegend } from './woodColors';

/** The height of the highest bar, or of the target, in pixels. */
const HEIGHT = 120;

/** Over the table of the ways: a bar above each column, its woods at the foot, the rest on top, against the target. */
export const ColumnBars = ({
  columns,
  cellOf,
  label,
  currency,
  target,
  own,
}: {
  columns: Column[];
  /** How the cell of a column stands in its row. */
  cellOf: (column: Column) => ViewStyle[];
  label: ViewStyle;
  currency: string;
  target: number | null;
  /** What the user says of materials. */
  own: OwnMaterials | undefined;
}) => {
  const colors = useColors();
  const colorOf = useWoodColors(own);
  const most = Math.max(1, target ?? 0, ...columns.map(({ outcome }) => outcome?.atTill ?? 0));
  const high = (sum: number) => Math.round((sum / most) * HEIGHT);
  return (
    <View style={styles.row} aria-hidden testID="chart">
      <View style={label}>
        {target === null ? null : (
          <View style={[styles.said, { bottom: high(target) - 9 }]}>
            <Text size="small" align="right">
              {formatMoney(target, currency)}
            </Text>
          </View>
        )}
      </View>
      {columns.map((column) => (
        <View key={column.id} style={[cellOf(column), styles.cell]}>
          <View style={styles.stack}>
            {[...barsOf(column)].reverse().map(({ material, sum }) => (
              <View
                key={material ?? ''}
                style={{ height: high(sum), backgroundColor: colorOf(material), borderColor: colors.soft }}
              />
            ))}
          </View>
          {target === null ? null : (
            <View style={[styles.target, { bottom: high(target), backgroundColor: colors.ink }]} />
          )}
        </View>
      ))}
    </View>
  );
};

/** What the colours of the bars mean. */
export const BarsLegend = ({
  columns,
  currency,
  target,
  own,
}: Pick<ComponentProps<typeof ColumnBars>, 'columns' | 'currency' | 'target' | 'own'>) => (
  <View style={styles.legend}>
    <Legend entries={useWoodLegend(columns, own)} target={target} currency={currency} />
  </View>
);

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'stretch' },
  cell: { paddingVertical: 0, paddingHorizontal: 0, height: HEIGHT + 12, justifyContent: 'flex-end' },
  stack: { width: '64%', maxWidth: 110, alignSelf: 'center' },
  target: { position: 'absolute', left: 0, right: 0, height: 2 },
  said: { position: 'absolute', right: 8 },
  legend: { paddingHorizontal: 16, paddingTop: 4 },
});

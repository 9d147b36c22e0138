import { ScrollView, StyleSheet, View, type ViewStyle } from 'react-native';
import { targetOf } from '@/core/budget';
import type { Book, Project } from '@/core/project';
import { Button, IconAction, StatusBadge, useColors, Text } from '@/ui';
import { Against, EvenWords, FitWords } from './Cards';
import { BarsLegend, ColumnBars } from './ColumnBars';
import { problemOf, type Column } from './columns';
import { rowsOf } from './rows';
import { RowValue } from './RowValue';
import { TotalOf } from './TotalOf';

interface Props {
  columns: Column[];
  project: Project;
  book: Book;
  onChoose: (column: Column) => void;
  onRemove: (column: Column) => void;
}

/** The ways side by side, the rows that matter under each other, what differs from the choice marked. */
export const ColumnTable = ({ columns, project, book, onChoose, onRemove }: Props) => {
  const colors = useColors();
  const chosen = columns.find(({ isChosen }) => isChosen);
  const cell = (column: Column): ViewStyle[] => [
    styles.cell,
    { borderColor: colors.hairline },
    ...(column.isChosen ? [{ backgroundColor: colors.pale }] : []),
  ];
  const shown = { columns, currency: project.currency, target: targetOf(project), own: book.materials };
  return (
    <>
      <BarsLegend {...shown} />
      <ScrollView
        horizontal
        contentContainerStyle={styles.scrolled}
        style={styles.scroll}
        tabIndex={0}
        aria-label="Ways side by side"
      >
        <View role="table" aria-label="Ways side by side" style={styles.table}>
          <ColumnBars {...shown} cellOf={cell} label={styles.label} />
          <View role="row" style={[styles.row, styles.ruled, { borderColor: colors.hairline }]}>
            <View role="cell" style={styles.label} />
            {columns.map((column) => (
              <View key={column.id} role="columnheader" style={[cell(column), styles.head]}>
                <View style={styles.top}>
                  <Text size="small" tone="soft" style={styles.letter}>
                    {column.letter}
                  </Text>
                  {column.isChosen ? null : (
                    <IconAction
                      icon="close"
                      label={`Take out ${column.name}`}
                      onPress={() => onRemove(column)}
                    />
                  )}
                </View>
                <Text size="strong">{column.name}</Text>
                {column.isChosen ? (
                  <View style={styles.stamp}>
                    <StatusBadge text="chosen" />
                  </View>
                ) : (
                  <View style={styles.choose}>
                    <Button
                      mode="outlined"
                      compact
                      disabled={!column.outcome}
                      accessibilityLabel={`Choose ${column.name}`}
                      onPress={() => onChoose(column)}
                    >
                      Choose
                    </Button>
                  </View>
                )}
              </View>
            ))}
          </View>
          {rowsOf(project).map((row) => (
            <View
              key={row.key}
              role="row"
              style={[styles.row, styles.ruled, { borderColor: colors.hairline }]}
            >
              <View role="rowheader" style={styles.label}>
                <Text size="small" tone="soft">
                  {row.label}
                </Text>
              </View>
              {columns.map((column) => {
                const { outcome } = column;
                return (
                  <View key={column.id} role="cell" style={cell(column)}>
                    {outcome && row.key === 'till' ? (
                      <TotalOf column={column} book={book}>
                        <RowValue row={row} column={column} outcome={outcome} chosen={chosen} isMain />
                      </TotalOf>
                    ) : outcome ? (
                      <RowValue row={row} column={column} outcome={outcome} chosen={chosen} />
                    ) : row.key === 'till' ? (
                      <Text size="small" tone="soft">
                        {column.isPlanning ? 'planning' : 'not planned'}
                      </Text>
                    ) : null}
                    {row.key === 'till' ? (
                      <Against column={column} chosen={chosen} project={project} />
                    ) : null}
                    {row.key === 'till' && problemOf(column) ? (
                      <Text size="small" tone="bad">
                        {problemOf(column)}
                      </Text>
                    ) : null}
                    {row.key === 'fit' ? <FitWords column={column} /> : null}
                    {row.key === 'wood' ? <EvenWords column={column} project={project} /> : null}
                  </View>
                );
              })}
            </View>
          ))}
        </View>
      </ScrollView>
    </>
  );
};

const styles = StyleSheet.create({
  scroll: { marginTop: 8 },
  scrolled: { minWidth: '100%' },
  table: { width: '100%' },
  row: { flexDirection: 'row' },
  ruled: { borderTopWidth: 1 },
  label: { width: 140, paddingLeft: 16, paddingRight: 8, paddingVertical: 8 },
  cell: {
    width: 150,
    flexGrow: 1,
    paddingHorizontal: 10,
    paddingVertical: 8,
    borderLeftWidth: 1,
    gap: 2,
  },
  head: { justifyContent: 'flex-start' },
  stamp: { alignSelf: 'flex-start', marginTop: 8 },
  top: { flexDirection: 'row', alignItems: 'center', minHeight: 44, marginRight: -10 },
  letter: { flex: 1 },
  choose: { marginTop: 'auto', alignSelf: 'flex-start' },
});

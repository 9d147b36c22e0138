import { StyleSheet } from 'react-native';
import type { Outcome } from '@/core/compare';
import { Text } from '@/ui';
import type { Column } from './columns';
import { standing, type CompareRow } from './rows';

const MARKS = { better: '▾ ', worse: '▴ ', same: '' };

/** What a way has in a row, marked where it is better or worse than what is chosen. */
export const RowValue = ({
  row,
  column: { isChosen, made },
  outcome,
  chosen,
  isMain = false,
  align = 'left',
}: {
  row: CompareRow;
  column: Column;
  outcome: Outcome;
  chosen: Column | undefined;
  /** The row that all is about. */
  isMain?: boolean;
  align?: 'left' | 'right';
}) => {
  const how = isChosen ? 'same' : standing(row, outcome, chosen?.outcome ?? null);
  return (
    <Text
      align={align}
      size={isMain ? 'strong' : 'small'}
      tone={how === 'better' ? 'good' : 'ink'}
      style={how === 'same' ? null : styles.marked}
    >
      {MARKS[how]}
      {row.text(outcome, made)}
    </Text>
  );
};

const styles = StyleSheet.create({ marked: { fontFamily: 'PlexMedium' } });

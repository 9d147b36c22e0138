import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { explainGroup, GROUPINGS, totalsBy, type Entry, type Grouping } from '@/core/budget';
import { formatMoney } from '@/core/units';
import { Explained } from '@/forms';
import { Choice, FigureTable, Text } from '@/ui';

const GROUPING_WORDS: Record<Grouping, string> = {
  category: 'What for',
  store: 'Store',
  month: 'Month',
  item: 'Thing',
};

/** What was paid, summed by any side of it. */
export const Sums = ({ entries, currency }: { entries: Entry[]; currency: string }) => {
  const [grouping, setGrouping] = useState<Grouping>('store');
  const [opened, setOpened] = useState<string | null>(null);
  if (entries.length === 0) return <Text style={styles.pad}>Nothing is paid yet.</Text>;
  return (
    <View>
      <View style={styles.pad}>
        <Choice
          label="Summed by"
          value={grouping}
          options={GROUPINGS.map((value) => ({ value, label: GROUPING_WORDS[value] }))}
          onChange={setGrouping}
        />
      </View>
      <FigureTable
        about={`Paid by ${GROUPING_WORDS[grouping].toLowerCase()}`}
        columns={[GROUPING_WORDS[grouping], 'Lines', 'Paid']}
        rows={totalsBy(entries, grouping).map(({ key, count, paid }) => ({
          key,
          cells: [key, String(count), formatMoney(paid, currency)],
          onPress: () => setOpened(key),
        }))}
      />
      {opened === null ? null : (
        <Explained
          title={opened}
          explanations={[explainGroup(entries, grouping, opened)]}
          currency={currency}
          onClose={() => setOpened(null)}
        />
      )}
    </View>
  );
};

const styles = StyleSheet.create({ pad: { padding: 16 } });

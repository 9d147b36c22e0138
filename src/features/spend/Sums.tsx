import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { GROUPINGS, totalsBy, type byCategory, type Entry, type Grouping } from '@/core/budget';
import { capital } from '@/core/capital';
import { formatMoney } from '@/core/measure';
import { letterOf } from '@/core/project';
import { Bars, Choice, Row, useInk, Words } from '@/ui';

const GROUPING_WORDS: Record<Grouping, string> = {
  category: 'What for',
  store: 'Store',
  month: 'Month',
  item: 'Thing',
};

/** What was paid by any side of it; by what it was for, also what is still to buy. */
export const Sums = ({
  entries,
  rows,
  currency,
}: {
  entries: Entry[];
  rows: ReturnType<typeof byCategory>;
  currency: string;
}) => {
  const said = (sum: number) => formatMoney(sum, currency);
  const [grouping, setGrouping] = useState<Grouping>('category');
  const totals = totalsBy(entries, grouping);
  return (
    <View>
      <View style={styles.search}>
        <Choice
          label="Summed by"
          value={grouping}
          options={GROUPINGS.map((value) => ({ value, label: GROUPING_WORDS[value] }))}
          onChange={setGrouping}
        />
      </View>
      {grouping === 'category' && rows.length > 0 ? <Chart rows={rows} currency={currency} /> : null}
      {grouping === 'category'
        ? rows.map(({ category, spent, toBuy }, index) => (
            <Row key={category} style={styles.row}>
              <View style={styles.line}>
                <Words size="strong" tone="soft" style={styles.letter}>
                  {letterOf(index)}
                </Words>
                <View style={styles.grow}>
                  <Words>{capital(category)}</Words>
                  <Words size="small" tone="soft">
                    {toBuy > 0 ? `${said(spent)} spent, ${said(toBuy)} to buy` : 'spent'}
                  </Words>
                </View>
                <Words size="strong">{said(spent + toBuy)}</Words>
              </View>
            </Row>
          ))
        : totals.map(({ key, paid, count }) => (
            <Row key={key} style={styles.row}>
              <View style={styles.line}>
                <View style={styles.grow}>
                  <Words>{key}</Words>
                  <Words size="small" tone="soft">
                    {count === 1 ? 'one line' : `${count} lines`}
                  </Words>
                </View>
                <Words size="strong">{said(paid)}</Words>
              </View>
            </Row>
          ))}
      {entries.length === 0 && grouping !== 'category' ? (
        <Words style={styles.pad}>Nothing is paid yet.</Words>
      ) : null}
    </View>
  );
};

/** What each category has cost and will: the rows under it say the same. */
const Chart = ({ rows, currency }: { rows: ReturnType<typeof byCategory>; currency: string }) => {
  const ink = useInk();
  const bars = rows.map(({ category, spent, toBuy }, index) => ({
    letter: letterOf(index),
    name: category,
    isStrong: false,
    sum: spent + toBuy,
    stacks: [
      { sum: spent, color: ink.spruce },
      { sum: toBuy, color: ink.wood.softwood },
    ].filter(({ sum }) => sum > 0),
  }));
  const legend = [
    { color: ink.spruce, word: 'spent' },
    { color: ink.wood.softwood, word: 'to buy' },
  ];
  return <Bars about="Spent and to buy" bars={bars} legend={legend} currency={currency} target={null} />;
};

const styles = StyleSheet.create({
  search: { paddingHorizontal: 16, paddingBottom: 10 },
  pad: { padding: 16 },
  row: { paddingHorizontal: 16, paddingVertical: 10 },
  line: { flexDirection: 'row', gap: 12, alignItems: 'center' },
  letter: { width: 18 },
  grow: { flex: 1 },
});

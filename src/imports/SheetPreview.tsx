import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { PreviewRow } from '@/core/io';
import type { Meaning } from '@/core/pricing';
import type { SheetSummary } from '@/state/reading';
import { asSold, count } from '@/forms';
import { Button, Checkbox, useColors, Text } from '@/ui';

interface Props {
  summary: SheetSummary;
  currency: string;
  /** What is taken. */
  meanings: Meaning[];
  onChange: (meanings: Meaning[]) => void;
}

const KINDS: { meaning: Meaning; title: string; help: string; isTakeable: boolean }[] = [
  { meaning: 'new', title: 'new', help: 'Nothing of it is in the book.', isTakeable: true },
  { meaning: 'changed', title: 'changed', help: 'Newer than what is in the book.', isTakeable: true },
  {
    meaning: 'history',
    title: 'older',
    help: 'Kept as history; the newer price still holds.',
    isTakeable: true,
  },
  {
    meaning: 'conflict',
    title: 'in conflict',
    help: 'Against a price of the same day, or one you typed yourself. Ticked: the file holds.',
    isTakeable: true,
  },
  { meaning: 'same', title: 'known already', help: 'Nothing to take.', isTakeable: false },
];

/** What a sheet holds, by what it means for the book, and what is wrong in it, line by line. */
export const SheetPreview = ({ summary, currency, meanings, onChange }: Props) => {
  const colors = useColors();
  const { counts, samples, problems, wrong, stores } = summary;
  const flip = (meaning: Meaning) =>
    onChange(
      meanings.includes(meaning) ? meanings.filter((other) => other !== meaning) : [...meanings, meaning],
    );
  return (
    <View style={styles.preview}>
      {stores.length > 0 ? <Text>New stores: {stores.join(', ')}.</Text> : null}
      {KINDS.filter(({ meaning }) => counts[meaning] > 0).map(({ meaning, title, help, isTakeable }) => (
        <View
          key={meaning}
          style={[styles.kind, { borderColor: colors.hairline }]}
          role="group"
          aria-label={title}
        >
          <View style={styles.head}>
            {isTakeable ? (
              <Checkbox
                isTicked={meanings.includes(meaning)}
                label={`Take what is ${title}`}
                onPress={() => flip(meaning)}
              />
            ) : null}
            <View style={styles.grow}>
              <Text size="strong">
                {counts[meaning]} {title}
              </Text>
              <Text size="small" tone="soft">
                {help}
              </Text>
            </View>
          </View>
          <Some rows={samples[meaning]} of={counts[meaning]} currency={currency} />
        </View>
      ))}
      {wrong > 0 ? (
        <View style={styles.wrong} role="group" aria-label="wrong">
          <Text size="strong" tone="bad">
            {count(wrong, 'line')} that cannot be read
          </Text>
          <Text size="small" tone="soft">
            They are left out. Mend them in the file and take it again: what is known already stays as it is.
          </Text>
          {problems.map(({ place, sentence }, index) => (
            <View key={index} style={[styles.fault, { borderColor: colors.red }]}>
              <Text size="small" tone="bad">
                {place}
              </Text>
              <Text size="small">{sentence}</Text>
            </View>
          ))}
        </View>
      ) : null}
    </View>
  );
};

const FEW = 5;

/** The first few rows of a kind; more when asked. */
const Some = ({ rows, of, currency }: { rows: PreviewRow[]; of: number; currency: string }) => {
  const [isAll, setAll] = useState(false);
  const shown = isAll ? rows : rows.slice(0, FEW);
  return (
    <View>
      {shown.map(({ line, store, price, held }) => (
        <Text key={price.id} size="small">
          <Text size="small" tone="soft">{`line ${line} · `}</Text>
          {`${price.item.name}, ${store}: ${asSold(price, currency)}`}
          {held ? <Text size="small" tone="soft">{`, was ${asSold(held.price, currency)}`}</Text> : null}
        </Text>
      ))}
      {!isAll && rows.length > FEW ? (
        <Button compact onPress={() => setAll(true)} style={styles.more}>
          {of > rows.length ? `The first ${rows.length}` : `All ${rows.length}`}
        </Button>
      ) : null}
    </View>
  );
};

const styles = StyleSheet.create({
  preview: { gap: 12 },
  kind: { borderBottomWidth: 1, paddingBottom: 10, gap: 4 },
  head: { flexDirection: 'row', alignItems: 'center' },
  grow: { flex: 1 },
  wrong: { gap: 8 },
  fault: { borderLeftWidth: 3, paddingLeft: 10 },
  more: { alignSelf: 'flex-start' },
});

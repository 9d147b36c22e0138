import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { unitRankings, type UnitRanking } from '@/core/compare/units';
import { formatDay, formatTag } from '@/core/units';
import { offerAt, UNIT_WORDS, type Offer } from '@/core/pricing';
import { SectionHeader, Choice, Row, Text } from '@/ui';
import type { PriceBookView } from './priceBookView';

const KINDS: { value: UnitRanking['kind']; label: string; nothing: string }[] = [
  { value: 'length', label: 'Lengths', nothing: 'two lengths or stores of one section and material' },
  { value: 'panel', label: 'Panels', nothing: 'two sheets of one thickness' },
  { value: 'pack', label: 'Packs', nothing: 'two packs of one thing' },
  { value: 'ripped', label: 'Ripped', nothing: 'a narrow board and a wider one of the same thickness' },
  { value: 'rough', label: 'Rough', nothing: 'rough and dressed boards of the same wood' },
];

/** What is cheapest by the foot, the square foot and the piece, of everything in the book that can be compared. */
export const Cheapest = ({ desk, onOpen }: { desk: PriceBookView; onOpen: (offer: Offer) => void }) => {
  const { book, currency, unit, projects } = desk;
  const kerf = projects[0]?.settings.kerf.ticks ?? 0;
  const rankings = useMemo(() => unitRankings(book, currency, unit, kerf), [book, currency, unit, kerf]);
  const first = KINDS.find(({ value }) => rankings.some(({ kind }) => kind === value))?.value ?? 'length';
  const [asked, setKind] = useState<UnitRanking['kind'] | null>(null);
  const kind = asked ?? first;
  const shown = rankings.filter((ranking) => ranking.kind === kind);
  return (
    <View>
      <View style={styles.pad}>
        <Choice label="What is cheapest today" value={kind} options={KINDS} onChange={setKind} />
      </View>
      {shown.length === 0 ? (
        <Text tone="soft" style={styles.pad}>
          {`Nothing to hold against each other yet: it takes the prices of ${KINDS.find(({ value }) => value === kind)?.nothing}.`}
        </Text>
      ) : null}
      {shown.map((ranking) => (
        <Ranking key={ranking.id} ranking={ranking} desk={desk} onOpen={onOpen} />
      ))}
    </View>
  );
};

const Ranking = ({
  ranking: { title, by, rows },
  desk,
  onOpen,
}: {
  ranking: UnitRanking;
  desk: PriceBookView;
  onOpen: (offer: Offer) => void;
}) => (
  <View role="group" aria-label={title} style={styles.group}>
    <SectionHeader title={title} note={by === 'each' ? 'by the piece' : UNIT_WORDS[by]} />
    {rows.map((row, index) => {
      const offer = offerAt(desk.book, row.offerKey);
      const rate = formatTag(Math.round(row.rate / 1000) * 1000, desk.currency);
      return (
        <Row
          key={`${row.offerKey}${row.how}`}
          style={styles.row}
          label={`${row.name}, ${row.store}, ${rate} ${by === 'each' ? 'a piece' : UNIT_WORDS[by]}`}
          onPress={offer ? () => onOpen(offer) : undefined}
        >
          <View style={styles.line}>
            <View style={styles.grow}>
              <Text size={index === 0 ? 'strong' : 'body'}>{row.name}</Text>
              <Text size="small" tone="soft">
                {[row.store, row.how, row.date === null ? '' : formatDay(row.date)]
                  .filter(Boolean)
                  .join(' · ')}
              </Text>
            </View>
            <View>
              <Text size={index === 0 ? 'strong' : 'body'} align="right" tone={index === 0 ? 'good' : 'ink'}>
                {rate}
              </Text>
              <Text size="small" tone="soft" align="right">
                {index === 0
                  ? 'cheapest'
                  : row.more < 0.0005
                    ? 'the same'
                    : `${Math.max(1, Math.round(row.more * 100))} % dearer`}
              </Text>
            </View>
          </View>
        </Row>
      );
    })}
  </View>
);

const styles = StyleSheet.create({
  pad: { paddingHorizontal: 16, paddingVertical: 10 },
  group: { marginTop: 8 },
  row: { paddingHorizontal: 16, paddingVertical: 8 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 12 },
  grow: { flex: 1 },
});

import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { blankFault, faultOf } from '@/core/result';
import { buildOrBuy, type Outcome } from '@/core/compare';
import { formatDay, formatMoney, parseMoney, symbol, isDay } from '@/core/units';
import type { ReadyMade, Work } from '@/core/project';
import { newId, notify, useToday, type OpenProject } from '@/hooks';
import { SectionHeader, Button, IconAction, Row, SumRow, TextField, Text } from '@/ui';
import { useTries, WorkFields } from '@/forms';

const NO_WORK: Work = { hours: null, rate: null, beside: null };

/** What building comes to beside what such a thing costs ready made. */
export const BuildOrBuy = ({ open, outcome }: { open: OpenProject; outcome: Outcome | null }) => {
  const { project, dispatch, undo } = open;
  const { currency, builds, work = NO_WORK, readyMade = [] } = project;
  const money = (sum: number) => formatMoney(sum, currency);
  const change = (fields: Partial<Work>) => dispatch({ type: 'editWork', fields });
  const found = outcome ? buildOrBuy(project, outcome) : null;
  const remove = (seen: ReadyMade) => {
    dispatch({ type: 'removeReadyMade', seenId: seen.id });
    notify({
      text: `The ready-made price of ${seen.source} is deleted.`,
      action: { label: 'Undo', run: undo },
    });
  };
  return (
    <View>
      {found ? (
        <View role="region" aria-label="What building costs">
          <SectionHeader title="What building costs" note={builds > 1 ? `each of ${builds}` : ''} />
          <SumRow
            label="In the piece"
            about="what it uses up of boards and boxes"
            sum={money(found.inPiece)}
          />
          <SumRow
            label="At the till"
            about="whole boards, boxes and cans, tax and trips"
            sum={money(found.atTill)}
          />
          <SumRow label="All in" about="with tools, power and hours as told below" sum={money(found.allIn)} />
        </View>
      ) : null}
      <View style={styles.fields}>
        <WorkFields work={work} builds={builds} currency={currency} onChange={change} />
        <Text size="small" tone="soft">
          Tools one by one, travel and power are under Spend, Costs.
        </Text>
      </View>
      <SectionHeader title="Ready made" note={readyMade.length > 0 ? 'against all in' : ''} />
      {found?.readyMade.map((seen) => (
        <Row key={seen.id} style={styles.row}>
          <View style={styles.head}>
            <View style={styles.grow}>
              <Text size="strong">{money(seen.price)}</Text>
              <Text size="small" tone="soft">
                {seen.source}, seen {formatDay(seen.date)}
              </Text>
              <Text size="small" tone={seen.shareSaved >= 0 ? 'good' : 'bad'}>
                {seen.shareSaved >= 0
                  ? `Building saves ${Math.round(seen.shareSaved * 100)} %.`
                  : `Building costs ${money(found.allIn - seen.price)} more.`}
                {seen.anHour === null
                  ? ''
                  : seen.anHour >= 0
                    ? ` An hour of it earns ${money(seen.anHour)}.`
                    : ` An hour of it loses ${money(-seen.anHour)}.`}
              </Text>
            </View>
            <IconAction
              icon="delete"
              label={`Delete the price of ${seen.source}`}
              onPress={() => remove(seen)}
            />
          </View>
        </Row>
      ))}
      <AddReadyMade currency={currency} onAdd={(seen) => dispatch({ type: 'addReadyMade', seen })} />
    </View>
  );
};

/** A ready-made price with where it was seen; the day is today unless it is written otherwise. */
const AddReadyMade = ({ currency, onAdd }: { currency: string; onAdd: (seen: ReadyMade) => void }) => {
  const today = useToday();
  const [price, setPrice] = useState('');
  const [source, setSource] = useState('');
  const [date, setDate] = useState<string | null>(null);
  const tries = useTries();
  const seen = date ?? today;
  const read = parseMoney(price, currency);
  const add = () => {
    tries.attempt();
    if (!read.ok || source.trim() === '' || !isDay(seen)) return;
    onAdd({ id: newId(), price: read.value, source: source.trim(), date: seen });
    setDate(null);
    setPrice('');
    setSource('');
    tries.restart();
  };
  return (
    <View style={styles.fields}>
      <View style={styles.pair}>
        <View style={styles.grow}>
          <TextField
            label={`Ready made, ${symbol(currency).trim()}`}
            inputMode="decimal"
            value={price}
            onChange={setPrice}
            onSubmitEditing={add}
            error={tries.told(faultOf(read))}
          />
        </View>
        <View style={styles.grow}>
          <TextField
            label="Seen at"
            value={source}
            onChange={setSource}
            onSubmitEditing={add}
            error={tries.told(blankFault(source, 'Say where you saw it, to find it again.'))}
          />
        </View>
      </View>
      <TextField
        label="Seen on"
        value={seen}
        onChange={setDate}
        onSubmitEditing={add}
        error={isDay(seen) ? null : `Write the day as year-month-day, such as ${today}.`}
      />
      <Button mode="outlined" icon="add" onPress={add}>
        Add a ready-made price
      </Button>
    </View>
  );
};

const styles = StyleSheet.create({
  fields: { padding: 16, gap: 12 },
  pair: { flexDirection: 'row', gap: 12 },
  grow: { flex: 1 },
  row: { paddingHorizontal: 16, paddingVertical: 10 },
  head: { flexDirection: 'row', alignItems: 'center', gap: 12 },
});

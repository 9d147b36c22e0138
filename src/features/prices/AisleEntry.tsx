import { useEffect, useRef, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { faultAt } from '@/core/result';
import { formatTag, symbol } from '@/core/units';
import { asCompared, newestOf, UNIT_WORDS, type PriceOutlier } from '@/core/pricing';
import { currentOffers } from '@/core/pricing';
import { emptyBook, itemKey, tagName, type Price } from '@/core/project';
import { newId } from '@/hooks';
import { useTries, asSold } from '@/forms';
import { Button, Choice, TextField, useIsShort, useIsWide, Text } from '@/ui';
import {
  blankEntry,
  doubtAbout,
  lastPrice,
  readEntry,
  unitsFor,
  type Answer,
  type Ask,
  type Entry,
  type Visit,
} from './aisle';
import { AisleList } from './AisleList';
import { AskHead } from './AskHead';
import { OutlierAlert, QuickAnswers } from './QuickAnswers';
import type { PriceBookView } from './priceBookView';
import { PriceKeys } from './PriceKeys';

interface Props {
  desk: PriceBookView;
  visit: Visit;
  asks: Ask[];
  onVisit: (visit: Visit) => void;
  onDone: () => void;
}

/** One thing after the other: the price typed, the same as last time, out of stock, or passed by. */
export const AisleEntry = (props: Props) => {
  const { visit, asks, onDone } = props;
  const ask = asks.find(({ key }) => key === visit.key) ?? asks.find(({ key }) => !(key in visit.answers));
  if (!ask)
    return (
      <ScrollView style={styles.column} contentContainerStyle={styles.done}>
        <Text size="title">
          {asks.length === 0 ? 'Nothing is needed here.' : 'That is all that is needed here.'}
        </Text>
        <Button mode="contained" onPress={onDone}>
          Done here
        </Button>
        <AisleList {...props} />
      </ScrollView>
    );
  return <Shelf key={ask.key} {...props} ask={ask} />;
};

const Shelf = ({ desk, visit, asks, ask, onVisit }: Props & { ask: Ask }) => {
  const { unit, currency, offers, dispatch } = desk;
  const isWide = useIsWide();
  // On its side the keys stand beside what they are for.
  const isShort = useIsShort();
  const [doubt, setDoubt] = useState<PriceOutlier | null>(null);
  const tries = useTries();
  const entry = visit.entry ?? blankEntry(ask, unit);
  const input = useRef<View>(null);
  const last = lastPrice(ask);
  const read = readEntry(ask, entry, unit, desk.today);
  const units = unitsFor(ask, unit);
  const fault = (place: string) => tries.told(faultAt(read, place));
  const set = (fields: Partial<Entry>) => {
    setDoubt(null);
    onVisit({ ...visit, key: ask.key, entry: { ...entry, ...fields } });
  };
  /** The keyboard goes on where it was: at the price. */
  const toPrice = () => (input.current as unknown as HTMLElement | null)?.querySelector('input')?.focus();
  useEffect(() => {
    toPrice();
  }, []);

  /** In another length than was asked for, what was found stands for both. */
  const answer = (given: Answer, found = ask.key) => {
    const answers = { ...visit.answers, [found]: given, [ask.key]: given };
    onVisit({ ...visit, answers, key: null, entry: null });
  };
  const put = (price: Omit<Price, 'id' | 'storeId'>, kind: 'priced' | 'out') => {
    // What was typed on this visit and is mended is one observation, not two.
    const before = visit.answers[ask.key];
    const id = before && before.kind !== 'passed' ? before.priceId : newId();
    dispatch({ type: 'putPrices', prices: [{ ...price, id, storeId: visit.storeId }] });
    answer({ kind, priceId: id }, itemKey(price.item));
  };
  const save = () => {
    tries.attempt();
    if (!read.ok) return;
    const found = doubtAbout(read.value, ask, visit.storeId, offers);
    if (found) setDoubt(found);
    else put(read.value, 'priced');
  };
  const again = (available: number | null) => {
    if (!ask.last) return;
    const { price, unit: per, pack, item, weight, rough } = newestOf(ask.last);
    put(
      {
        item,
        price,
        unit: per,
        pack,
        minQty: 1,
        available,
        date: desk.today,
        source: 'typed',
        note: '',
        ...(weight ? { weight } : {}),
        ...(rough ? { rough } : {}),
      },
      available === 0 ? 'out' : 'priced',
    );
  };
  const typeAgain = () => {
    set({ price: '' });
    tries.restart();
    toPrice();
  };
  const compared = read.ok ? comparison(read.value, desk) : '';
  return (
    <View style={[styles.column, isShort && styles.sideways]}>
      <View style={styles.grow}>
        <ScrollView
          style={styles.grow}
          contentContainerStyle={styles.card}
          keyboardShouldPersistTaps="always"
        >
          <AskHead desk={desk} ask={ask} storeId={visit.storeId} />
          <View style={styles.line}>
            <View ref={input} style={styles.price}>
              <TextField
                label={`Price, ${symbol(currency).trim()}`}
                value={entry.price}
                onChange={(price) => set({ price })}
                error={fault('price')}
                help={compared || null}
                inputMode={isWide ? 'decimal' : 'none'}
                onSubmitEditing={save}
              />
            </View>
            {ask.item.length ? (
              <View style={styles.measure}>
                <TextField
                  label="Length"
                  value={entry.length}
                  onChange={(length) => set({ length })}
                  error={fault('length')}
                  pad={unit}
                  onSubmitEditing={save}
                />
              </View>
            ) : null}
            {ask.item.kind === 'hardware' ? (
              <View style={styles.measure}>
                <TextField
                  label="Pieces in it"
                  value={entry.pack}
                  onChange={(pack) => set({ pack })}
                  error={fault('pack')}
                  inputMode="numeric"
                  onSubmitEditing={save}
                />
              </View>
            ) : null}
          </View>
          {units.length > 1 ? (
            <Choice
              label="Sold"
              value={entry.unit}
              options={units.map((per) => ({
                value: per,
                label: per === 'each' ? 'each' : UNIT_WORDS[per].replace(/^an? /, 'by the '),
              }))}
              onChange={(per) => set({ unit: per })}
            />
          ) : null}
          {doubt ? (
            <OutlierAlert
              outlier={doubt}
              sold={read.ok ? asSold(read.value, currency) : ''}
              currency={currency}
              onYes={() => read.ok && put(read.value, 'priced')}
              onAgain={typeAgain}
            />
          ) : null}
          {isWide ? null : <Upcoming asks={asks} visit={visit} here={ask.key} onVisit={onVisit} />}
        </ScrollView>
        <QuickAnswers
          last={last ? formatTag(last.price, currency) : null}
          isKnown={ask.last !== null}
          onSame={() => again(null)}
          onOut={() => again(0)}
          onPass={() => answer({ kind: 'passed' })}
          onNext={isWide ? save : null}
        />
      </View>
      {isWide ? null : (
        <View style={isShort && styles.beside}>
          <PriceKeys value={entry.price} onChange={(price) => set({ price })} onNext={save} />
        </View>
      )}
    </View>
  );
};

/** What comes after, to look out for; and the way back to the last one. */
const Upcoming = ({
  asks,
  visit,
  here,
  onVisit,
}: Pick<Props, 'asks' | 'visit' | 'onVisit'> & { here: string }) => {
  const [isAll, setAll] = useState(false);
  const next = asks.filter(({ key }) => key !== here && !(key in visit.answers));
  const answered = asks.filter(({ key }) => key !== here && key in visit.answers);
  const lastDone = Object.keys(visit.answers)
    .map((key) => answered.find((ask) => ask.key === key))
    .findLast((ask) => ask !== undefined);
  const shown = isAll ? [...next, ...answered] : next.slice(0, 3);
  return (
    <View>
      <Text size="small" tone="soft">
        {next.length > 0 ? 'Then' : 'The last one'}
      </Text>
      {shown.map((ask) => (
        <Button
          key={ask.key}
          compact
          contentStyle={styles.next}
          onPress={() => onVisit({ ...visit, key: ask.key, entry: null })}
        >
          {`${ask.key in visit.answers ? '✓ ' : ''}${tagName(ask.item)}`}
        </Button>
      ))}
      <View style={styles.line}>
        {lastDone && !isAll ? (
          <Button compact onPress={() => onVisit({ ...visit, key: lastDone.key, entry: null })}>
            Back to {tagName(lastDone.item)}
          </Button>
        ) : null}
        {next.length + answered.length > 3 && !isAll ? (
          <Button compact onPress={() => setAll(true)}>
            All {asks.length}
          </Button>
        ) : null}
      </View>
    </View>
  );
};

const comparison = (
  read: Omit<Price, 'id' | 'storeId'>,
  { unit, currency, stores }: PriceBookView,
): string => {
  const [store] = stores;
  if (!store) return '';
  const [offer] = currentOffers({
    ...emptyBook(),
    stores: { [store.id]: store },
    prices: { typed: { ...read, id: 'typed', storeId: store.id } },
  });
  return offer ? asCompared(offer, unit, currency) : '';
};

const styles = StyleSheet.create({
  sideways: { flexDirection: 'row' },
  beside: { width: 380 },
  column: { flex: 1 },
  grow: { flex: 1 },
  card: { padding: 16, gap: 10, maxWidth: 720 },
  done: { padding: 16, gap: 12, alignItems: 'flex-start' },
  line: { flexDirection: 'row', gap: 10, alignItems: 'flex-start', flexWrap: 'wrap' },
  price: { flexGrow: 1, flexBasis: 150 },
  measure: { flexGrow: 1, flexBasis: 110 },
  next: { justifyContent: 'flex-start' },
});

import { useEffect, useRef, useState, type RefObject } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { formatTag, parseLength, symbol } from '@/core/units';
import { asCompared, currentOffers } from '@/core/pricing';
import { emptyBook, itemKey, tagName, type Price } from '@/core/project';
import { asSold } from '@/forms';
import { Button, Choice, TextField, useIsShort, useIsWide, Text } from '@/ui';
import { lastPrice, lengthsOf, unitsFor, type Ask, type Visit } from './aisle';
import { AisleList } from './AisleList';
import { AskHead } from './AskHead';
import { LengthRow } from './LengthRow';
import { OutlierAlert, QuickAnswers } from './QuickAnswers';
import type { PriceBookView } from './priceBookView';
import { PriceKeys } from './PriceKeys';
import { byThe } from './words';
import { useShelf, type ShelfProps } from './useShelf';

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

const AT_PRICE = { field: 'price' as const, isOver: false };

const Shelf = (props: ShelfProps) => {
  const { desk, visit, asks, ask, onVisit } = props;
  const { currency } = desk;
  const isWide = useIsWide();
  // On its side the keys stand beside what they are for.
  const isShort = useIsShort();
  const shelf = useShelf(props);
  const { entry, read, asked, doubt, set, save } = shelf;
  /** Where the keys of the phone write; what stood in a pack is written over. */
  const [keyed, setKeyed] = useState<{ field: 'price' | 'pack'; isOver: boolean }>(AT_PRICE);
  const input = useRef<View>(null);
  const last = lastPrice(asked);
  /** The keyboard goes on where it was: at the price. */
  const toPrice = () => {
    (input.current as unknown as HTMLElement | null)?.querySelector('input')?.focus();
  };
  useEffect(() => toPrice(), []);
  return (
    <View style={[styles.column, isShort && styles.sideways]}>
      <View style={styles.grow}>
        <ScrollView
          style={styles.grow}
          contentContainerStyle={styles.card}
          keyboardShouldPersistTaps="always"
        >
          <AskHead desk={desk} ask={asked} storeId={visit.storeId} />
          <ShelfFields
            {...props}
            shelf={shelf}
            input={input}
            onKeyed={(field) => setKeyed({ field, isOver: field === 'pack' })}
            onLength={toPrice}
          />
          {doubt ? (
            <OutlierAlert
              outlier={doubt.outlier}
              sold={read.ok ? asSold(read.value, currency) : ''}
              currency={currency}
              onYes={shelf.confirm}
              onAgain={() => {
                shelf.typeAgain();
                toPrice();
              }}
            />
          ) : null}
          {isWide ? null : <Upcoming asks={asks} visit={visit} here={ask.key} onVisit={onVisit} />}
        </ScrollView>
        <QuickAnswers
          last={last ? formatTag(last.price, currency) : null}
          isKnown={asked.last !== null}
          onSame={() => shelf.again(null)}
          onOut={() => shelf.again(0)}
          onPass={shelf.pass}
          onNext={isWide ? () => save() : null}
        />
      </View>
      {isWide ? null : (
        <View style={isShort && styles.beside}>
          <PriceKeys
            value={keyed.isOver ? '' : entry[keyed.field]}
            onChange={(text) => {
              set({ [keyed.field]: text });
              setKeyed({ ...keyed, isOver: false });
            }}
            onNext={() => save()}
          />
        </View>
      )}
    </View>
  );
};

/** The fields of what is before the eyes: its price, its length or pack, its material where no part says one, and by what it is sold. */
const ShelfFields = ({
  desk,
  visit,
  ask,
  shelf: { entry, read, set, save, fault, toLength },
  input,
  onKeyed,
  onLength,
}: ShelfProps & {
  shelf: ReturnType<typeof useShelf>;
  input: RefObject<View | null>;
  onKeyed: (field: 'price' | 'pack') => void;
  onLength: () => void;
}) => {
  const { unit, currency } = desk;
  const isWide = useIsWide();
  const units = unitsFor(ask, unit);
  const cells = lengthsOf(desk, visit.storeId, ask, entry.material);
  const typed = parseLength(entry.length, unit);
  // On a phone digits are typed on our keys, into the field that has the focus.
  const digits = isWide ? ('decimal' as const) : ('none' as const);
  return (
    <>
      {ask.isOpen ? (
        <TextField
          label="Of what wood, as the tag says"
          value={entry.material}
          onChange={(material) => set({ material })}
          error={fault('material')}
        />
      ) : null}
      {cells.length > 0 ? (
        <LengthRow
          cells={cells}
          at={typed.ok ? typed.value : 0}
          today={desk.today}
          unit={unit}
          currency={currency}
          onChoose={({ length, last }) => {
            toLength(length, last ? itemKey(last.item) : null);
            onLength();
          }}
        />
      ) : null}
      <View style={styles.line}>
        <View ref={input} style={styles.price}>
          <TextField
            label={`Price, ${symbol(currency).trim()}`}
            value={entry.price}
            onChange={(price) => set({ price })}
            error={fault('price')}
            help={(read.ok ? comparison(read.value, desk) : '') || null}
            inputMode={digits}
            onFocus={() => onKeyed('price')}
            onSubmitEditing={() => save()}
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
              onSubmitEditing={() => save()}
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
              inputMode={isWide ? 'numeric' : 'none'}
              onFocus={() => onKeyed('pack')}
              onSubmitEditing={() => save()}
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
            label: per === 'each' ? 'each' : byThe(per),
          }))}
          onChange={(per) => set({ unit: per })}
        />
      ) : null}
    </>
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

import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { formatDay } from '@/core/units';
import type { Change } from '@/core/pricing';
import { notify, freeForBook } from '@/hooks';
import { remoteReader } from '@/state/reading';
import { asSold, count } from '@/forms';
import { SectionHeader, Button, Sheet, Checkbox, useColors, VirtualList, Text } from '@/ui';
import type { PriceBookView } from './priceBookView';
import { byWeight, changeKey, isUnasked, withChanges, type News } from './news';

/** Every price that a followed store told, with what it replaces: all or some are taken; what a person typed only when ticked. */
export const FeedReview = ({
  desk,
  news,
  onClose,
}: {
  desk: PriceBookView;
  news: News[];
  onClose: () => void;
}) => {
  const { dispatch, undo } = desk;
  const rows = useMemo(
    () => news.map((one) => ({ one, changes: byWeight(one.changes, desk) })),
    [news, desk],
  );
  // What was ticked or unticked by hand; the rest is as it is usual, whatever is told while this is open.
  const [chosen, setChosen] = useState<Record<string, boolean>>({});
  const isTaken = (change: Change) => chosen[changeKey(change)] ?? isUnasked(change);
  const all = news.flatMap(({ changes }) => changes);
  const number = all.filter(isTaken).length;
  const typed = all.filter((change) => !isUnasked(change)).length;
  const flip = (change: Change) => setChosen({ ...chosen, [changeKey(change)]: !isTaken(change) });
  const set = (value: boolean) =>
    setChosen(Object.fromEntries(all.map((change) => [changeKey(change), value])));
  const take = async () => {
    const parts = news.map((one) => withChanges(desk.book, one, one.changes.filter(isTaken)));
    const prices = parts.flatMap((part) => part.prices);
    const stores = parts.flatMap((part) => part.stores);
    const { fits, most } = await remoteReader().fitting(desk.book, stores, prices, await freeForBook());
    if (!fits) {
      notify({
        text: `There is not enough room in this browser: about ${most} of these ${prices.length} prices would fit. Nothing was taken. See Settings for what could go.`,
      });
      return;
    }
    dispatch({ type: 'putPrices', prices, stores });
    notify({
      text: `${count(number, 'price')} taken${number < all.length ? `, ${all.length - number} left as they were` : ''}.`,
      action: { label: 'Undo', run: undo },
    });
    onClose();
  };
  return (
    <Sheet
      title="Prices the stores told"
      onClose={onClose}
      foot={
        <>
          <Button onPress={() => set(false)}>None</Button>
          <Button onPress={() => set(true)}>All</Button>
          <Button mode="contained" onPress={() => void take()}>
            {number === 0 ? 'Leave them all' : `Take ${count(number, 'price')}`}
          </Button>
        </>
      }
    >
      {typed > 0 ? (
        <Text>
          {count(typed, 'price')} you typed yourself {typed === 1 ? 'is' : 'are'} not ticked: tick what the
          store knows better.
        </Text>
      ) : null}
      {rows.map(({ one: { store, asOf }, changes }) => (
        <View key={store.id}>
          <SectionHeader title={store.name} note={`as of ${formatDay(asOf)}`} />
          <VirtualList
            label={`Prices of ${store.name}`}
            items={changes}
            keyOf={keyOf}
            rowHeight={70}
            heights="own"
            render={({ change, isNeeded }) => (
              <Line
                change={change}
                isNeeded={isNeeded}
                currency={desk.currency}
                isTicked={isTaken(change)}
                onTick={() => flip(change)}
              />
            )}
          />
        </View>
      ))}
    </Sheet>
  );
};

const keyOf = ({ change }: { change: Change }): string => changeKey(change);

const Line = ({
  change: { price, held, meaning },
  isNeeded,
  currency,
  isTicked,
  onTick,
}: {
  change: Change;
  isNeeded: boolean;
  currency: string;
  isTicked: boolean;
  onTick: () => void;
}) => {
  const colors = useColors();
  const now = price.available === 0 ? 'out of stock' : asSold(price, currency);
  const before = held?.price;
  const was = before ? (before.available === 0 ? 'out of stock' : asSold(before, currency)) : 'new here';
  return (
    <View style={[styles.line, { borderColor: colors.hairline }]}>
      <Checkbox isTicked={isTicked} label={`Take ${price.item.name}: ${now}`} onPress={onTick} />
      <View style={styles.grow}>
        <Text>{price.item.name}</Text>
        <Text size="small" tone={meaning === 'conflict' ? 'bad' : 'soft'}>
          {[
            isNeeded ? 'needed' : '',
            meaning === 'conflict' && before ? `you typed ${was}` : before ? `was ${was}` : was,
          ]
            .filter(Boolean)
            .join(' · ')}
        </Text>
      </View>
      <Text align="right">{now}</Text>
    </View>
  );
};

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', gap: 8, paddingVertical: 8, borderBottomWidth: 1 },
  grow: { flex: 1 },
});

import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { formatDay } from '@/core/units';
import {
  allCompared,
  currentOffers,
  historiesOf,
  newestOf,
  offerAt,
  seriesOf,
  type Offer,
} from '@/core/pricing';
import type { Price } from '@/core/project';
import { newId, notify } from '@/hooks';
import { asSold } from '@/forms';
import { SectionHeader, Button, Detail, lazyScreen, Row, StatusBadge, Text } from '@/ui';
import type { PriceBookView } from './priceBookView';
import { ageOf, cents, inThePocket, pocketWords, trendWords } from './words';

const HistoryChart = lazyScreen(async () => (await import('@/ui/charts')).HistoryChart);

const SOURCES: Record<Price['source'], string> = {
  typed: 'typed',
  file: 'from a file',
  service: 'from its price service',
  sample: 'sample',
};

interface Props {
  desk: PriceBookView;
  offer: Offer;
  onEdit: (price: Price) => void;
  onClose: () => void;
}

/** Where one price comes from: as sold, as compared, in the pocket, its age, and all that was seen of it. */
export const OfferDetail = ({ desk, offer: opened, onEdit, onClose }: Props) => {
  const { book, currency, unit, dispatch, undo } = desk;
  const [width, setWidth] = useState(0);
  // The offer as it is now: it may have been changed while it is open. Dressed wood is told by what it is made from.
  const offer = offerAt(book, opened.key) ?? opened;
  const newest = newestOf(offer);
  const seen = [...(historiesOf(book).get(offer.key) ?? [])].reverse();
  const series = currentOffers(book)
    .filter((other) => other.itemKey === offer.itemKey && desk.stores.some(({ id }) => id === other.storeId))
    .map((other) => ({ store: book.stores[other.storeId]?.name ?? '', points: seriesOf(other, book) }))
    .filter(({ points }) => points.length > 0);
  const age = ageOf(offer, desk);
  const trend = trendWords(offer, desk);
  const pocket = pocketWords(offer, desk);
  const isOut = offer.available === 0;
  const seeAgain = (available: number | null, text: string) => {
    dispatch({
      type: 'putPrices',
      prices: [{ ...newest, id: newId(), date: desk.today, available, source: 'typed' }],
    });
    notify({ text, action: { label: 'Undo', run: undo } });
  };
  return (
    <Detail
      title={offer.name}
      onClose={onClose}
      foot={
        <>
          <Button
            onPress={() =>
              seeAgain(isOut ? null : 0, isOut ? 'It is in stock again.' : 'Out of stock, as of today.')
            }
          >
            {isOut ? 'In stock again' : 'Out of stock'}
          </Button>
          <Button onPress={() => seeAgain(newest.available, 'Seen again today, at the same price.')}>
            Still true today
          </Button>
          <Button mode="contained" onPress={() => onEdit(newest)}>
            Change the price
          </Button>
        </>
      }
    >
      <View style={styles.head}>
        <View style={styles.grow}>
          <Text>{book.stores[offer.storeId]?.name}</Text>
          <Text size="small" tone={age.isOld ? 'bad' : 'soft'}>
            {[age.text, trend].filter(Boolean).join(' · ')}
          </Text>
        </View>
        {isOut ? <StatusBadge text="out of stock" tone="bad" /> : null}
        <Text size="headline">{cents(offer.tiers[0]?.unitPrice ?? 0, currency)}</Text>
      </View>
      <View>
        {offer.tiers.map(({ price }) => (
          <Text key={price.id}>{asSold(price, currency)}</Text>
        ))}
        <Text tone="soft">{allCompared(offer, unit, currency).join(' · ')}</Text>
        {pocket ? (
          <Text tone="soft">
            {cents(inThePocket(offer, desk), currency)} to pay, {pocket}
          </Text>
        ) : null}
        {offer.rough ? (
          <Text tone="soft">
            Rough: planing takes {offer.rough.planing.text}, {Math.round(offer.rough.waste * 100)} % is waste.
          </Text>
        ) : null}
      </View>
      {series.some(({ points }) => points.length > 1) || series.length > 1 ? (
        <View onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}>
          <SectionHeader title="How it moved" note="per purchase" />
          <View style={styles.chart}>
            {width > 0 ? <HistoryChart series={series} currency={currency} width={width} /> : null}
          </View>
        </View>
      ) : null}
      <View>
        <SectionHeader title="All that was seen" note={`${seen.length}`} />
        {seen.map((price) => (
          <Row
            key={price.id}
            onPress={() => onEdit(price)}
            label={`Change what was seen ${price.date ? formatDay(price.date) : 'on no known day'}: ${asSold(price, currency)}`}
            style={styles.seen}
          >
            <View style={styles.head}>
              <View style={styles.grow}>
                <Text>{price.date ? formatDay(price.date) : 'day unknown'}</Text>
                <Text size="small" tone="soft">
                  {[SOURCES[price.source], price.note].filter(Boolean).join(' · ')}
                </Text>
              </View>
              <Text>{price.available === 0 ? 'out of stock' : asSold(price, currency)}</Text>
            </View>
          </Row>
        ))}
      </View>
    </Detail>
  );
};

const styles = StyleSheet.create({
  head: { flexDirection: 'row', alignItems: 'center', gap: 12 },
  grow: { flex: 1 },
  chart: { minHeight: 230, paddingTop: 14 },
  seen: { paddingVertical: 8 },
});

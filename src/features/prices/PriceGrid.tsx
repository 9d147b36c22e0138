import { useDeferredValue, useMemo, useState } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import {
  filteredRows,
  gridRows,
  NO_FILTER,
  type GridFilter,
  type GridOrder,
  type GridRow,
  type Offer,
} from '@/core/pricing';
import type { Store } from '@/core/project';
import { count } from '@/forms';
import {
  SectionHeader,
  Button,
  Select,
  StatusBadge,
  TextField,
  useColors,
  useIsWide,
  VirtualList,
  Text,
} from '@/ui';
import type { PriceBookView } from './priceBookView';
import { GridLine } from './GridLine';
import { OfferLine } from './OfferLine';

interface Props {
  desk: PriceBookView;
  onOpen: (offer: Offer) => void;
  /** Whether a detail stands beside it on a wide screen. */
  isBeside: boolean;
}

const ORDERS: { value: GridOrder; label: string }[] = [
  { value: 'needed', label: 'needed first' },
  { value: 'name', label: 'by name' },
  { value: 'price', label: 'cheapest first' },
];

const AGES: { value: GridFilter['age']; label: string }[] = [
  { value: '', label: 'any' },
  { value: 'old', label: 'old prices' },
  { value: 'missing', label: 'missing somewhere' },
];

const ITEM = 260;
const CELL = 116;
const MAX_CELL = 160;
const RAIL = 208;
const DETAIL = 420;

/** Everything that has a price: things by stores on a wide screen, a card for each thing on a phone. */
export const PriceGrid = ({ desk, onOpen, isBeside }: Props) => {
  const { offers, book, unit, today, staleAfter, needs, stores } = desk;
  const [filter, setFilter] = useState<GridFilter>(NO_FILTER);
  const [order, setOrder] = useState<GridOrder>('needed');
  const asked = useDeferredValue(filter);
  const all = useMemo(
    () => gridRows(offers, book, { unit, today, staleAfter, needs }),
    [offers, book, unit, today, staleAfter, needs],
  );
  const rows = useMemo(
    () => filteredRows(all, asked, order, stores.length),
    [all, asked, order, stores.length],
  );
  const isWide = useIsWide();
  const { width } = useWindowDimensions();
  const most = Math.max(1, Math.floor((width - RAIL - (isBeside ? DETAIL : 0) - ITEM - 16) / CELL));
  const columns = columnsOf(stores, offers, filter.storeId).slice(0, most);
  const set = (fields: Partial<GridFilter>) => setFilter({ ...filter, ...fields });
  const choices = (values: string[]) => [
    { value: '', label: 'any' },
    ...[...new Set(values.filter((value) => value !== ''))]
      .sort((a, b) => a.localeCompare(b, 'en', { numeric: true }))
      .map((value) => ({ value, label: value })),
  ];
  const isFiltered = JSON.stringify(filter) !== JSON.stringify(NO_FILTER);
  return (
    <View>
      <View style={styles.filters}>
        <View style={isWide ? styles.findWide : styles.find}>
          <TextField
            label="Find, such as 2x4 cedar"
            value={filter.words}
            onChange={(words) => set({ words })}
          />
        </View>
        <Select
          label="Section"
          value={filter.section}
          options={choices(all.map(({ section }) => section))}
          onChange={(section) => set({ section })}
        />
        <Select
          label="Material"
          value={filter.material}
          options={choices(all.map(({ material }) => material))}
          onChange={(material) => set({ material })}
        />
        <Select
          label="Store"
          value={filter.storeId}
          options={[
            { value: '', label: 'any' },
            ...stores.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChange={(storeId) => set({ storeId })}
        />
        <Select label="Age" value={filter.age} options={AGES} onChange={(age) => set({ age })} />
        <Select label="Order" usual="needed" value={order} options={ORDERS} onChange={setOrder} />
      </View>
      <SectionHeader
        title={count(rows.length, 'thing')}
        note={
          isWide && columns.length < stores.length
            ? `${columns.length} of ${stores.length} stores in sight; pick a store to see another`
            : `${count(offers.length, 'price')} at ${count(stores.length, 'store')}`
        }
      />
      {rows.length === 0 ? (
        <View style={styles.none}>
          <Text>
            {isFiltered
              ? 'Nothing has a price here that fits.'
              : 'No prices yet. Enter some in the aisle, take a file, or follow a store.'}
          </Text>
          {isFiltered ? <Button onPress={() => setFilter(NO_FILTER)}>Show everything</Button> : null}
        </View>
      ) : isWide ? (
        <View role="group" aria-label="Things by stores">
          <Head stores={columns} />
          <VirtualList
            label="Things and their prices"
            items={rows}
            keyOf={keyOf}
            rowHeight={58}
            heights="same"
            render={(row) => <GridLine row={row} stores={columns} desk={desk} onOpen={onOpen} />}
          />
        </View>
      ) : (
        <VirtualList
          label="Things and their prices"
          items={rows}
          keyOf={keyOf}
          rowHeight={150}
          heights="own"
          render={(row) => <Card row={row} desk={desk} onOpen={onOpen} />}
        />
      )}
    </View>
  );
};

/** Stores in the order of how many prices they have; one that is asked for first. */
const columnsOf = (stores: Store[], offers: Offer[], first: string): Store[] => {
  const counts = new Map<string, number>();
  for (const { storeId } of offers) counts.set(storeId, (counts.get(storeId) ?? 0) + 1);
  const rank = ({ id }: Store) => (id === first ? Infinity : (counts.get(id) ?? 0));
  return [...stores].sort((a, b) => rank(b) - rank(a));
};

const keyOf = ({ key }: GridRow): string => key;

const Head = ({ stores }: { stores: Store[] }) => {
  const colors = useColors();
  return (
    <View
      style={[styles.row, styles.sticky, { borderColor: colors.ink, backgroundColor: colors.paper }]}
      aria-hidden
    >
      <View style={[styles.item, styles.unmarked]} />
      {stores.map(({ id, name }) => (
        <View key={id} style={styles.cell}>
          <Text size="small" align="right" numberOfLines={2}>
            {name}
          </Text>
        </View>
      ))}
    </View>
  );
};

interface LineProps {
  row: GridRow;
  desk: PriceBookView;
  onOpen: (offer: Offer) => void;
}

const Card = ({ row, desk, onOpen }: LineProps) => {
  const lines = Object.values(row.cells)
    .flat()
    .sort(
      (a, b) =>
        Number(a.available === 0) - Number(b.available === 0) ||
        (a.tiers[0]?.unitPrice ?? 0) / a.pack - (b.tiers[0]?.unitPrice ?? 0) / b.pack,
    );
  const missing = desk.stores.length - Object.keys(row.cells).length;
  return (
    <View role="group" aria-label={row.name}>
      <View style={styles.cardHead}>
        <Text size="strong" style={styles.grow}>
          {row.name}
        </Text>
        {row.isNeeded ? <StatusBadge text="needed" tone="plain" /> : null}
      </View>
      {lines.map((offer) => (
        <OfferLine
          key={offer.key}
          title={desk.book.stores[offer.storeId]?.name ?? ''}
          offer={offer}
          desk={desk}
          isCheapest={offer.key === row.cheapest}
          onOpen={onOpen}
        />
      ))}
      {missing > 0 && desk.stores.length <= 6 ? (
        <Text size="small" tone="soft" style={styles.missing}>
          No price at{' '}
          {desk.stores
            .filter(({ id }) => !(id in row.cells))
            .map(({ name }) => name)
            .join(', ')}
        </Text>
      ) : null}
    </View>
  );
};

const styles = StyleSheet.create({
  filters: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    gap: 8,
    paddingHorizontal: 16,
    paddingBottom: 12,
    alignItems: 'center',
  },
  find: { width: '100%' },
  findWide: { width: 260 },
  none: { padding: 16, gap: 8, alignItems: 'flex-start' },
  row: { flexDirection: 'row', borderBottomWidth: 1, alignItems: 'stretch', minHeight: 56 },
  item: {
    width: ITEM,
    flexGrow: 1,
    maxWidth: 420,
    flexShrink: 0,
    paddingHorizontal: 13,
    justifyContent: 'center',
    borderLeftWidth: 3,
  },
  cell: { width: CELL, flexGrow: 1, maxWidth: MAX_CELL, paddingHorizontal: 8, justifyContent: 'center' },
  unmarked: { borderLeftColor: 'transparent' },
  sticky: { position: 'sticky', top: 0, zIndex: 1 } as object,
  cardHead: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 12,
    paddingHorizontal: 16,
    paddingTop: 14,
    paddingBottom: 6,
  },
  grow: { flex: 1 },
  missing: { paddingHorizontal: 16, paddingVertical: 8 },
});

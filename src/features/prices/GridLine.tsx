import { asCompared, type GridRow, type Offer } from '@/core/pricing';
import type { Store } from '@/core/project';
import { TableCell, TableName, TableRow, type CellText } from '@/ui';
import type { PriceBookView } from './priceBookView';
import { lowestBy, ageOf, cents, trendWords } from './words';

interface Props {
  row: GridRow;
  stores: Store[];
  desk: PriceBookView;
  onOpen: (offer: Offer) => void;
}

/** One thing, and what each store asks for it. */
export const GridLine = ({ row, stores, desk, onOpen }: Props) => {
  const note = [row.isNeeded ? 'needed' : '', row.name.includes(row.material) ? '' : row.material]
    .filter(Boolean)
    .join(' · ');
  const lines: CellText[] = [
    { text: row.name, tone: 'ink' },
    ...(note ? [{ text: note, tone: 'soft' } as const] : []),
  ];
  return (
    <TableRow>
      <TableName lines={lines} isMarked={row.isNeeded} />
      {stores.map((store) => (
        <Cell key={store.id} row={row} store={store} desk={desk} onOpen={onOpen} />
      ))}
    </TableRow>
  );
};

/** What a store asks: to the cent, as compared; old, out of stock and missing prices are told in words. */
const Cell = ({ row, store, desk, onOpen }: Omit<Props, 'stores'> & { store: Store }) => {
  const offer = row.cells[store.id]?.[0];
  if (!offer)
    return (
      <TableCell lines={[{ text: '–', tone: 'soft' }]} label={`${row.name} at ${store.name}: no price`} />
    );
  const age = ageOf(offer, desk);
  const isOut = offer.available === 0;
  const isCheapest = offer.key === row.cheapest;
  const price = cents(offer.tiers[0]?.unitPrice ?? 0, desk.currency);
  const warning = isOut ? 'out of stock' : age.isOld ? 'old' : '';
  const label = [
    `${row.name} at ${store.name}: ${price}`,
    isCheapest ? lowestBy(offer, desk.unit) : '',
    age.text,
    isOut ? warning : '',
  ]
    .filter(Boolean)
    .join(', ');
  return (
    <TableCell
      label={label}
      isChosen={isCheapest}
      onPress={() => onOpen(offer)}
      lines={[
        { text: price, tone: warning ? 'soft' : 'ink', isStrong: isCheapest },
        warning
          ? { text: warning, tone: 'bad' }
          : { text: trendWords(offer, desk) || shortCompared(offer, desk), tone: 'soft' },
      ]}
    />
  );
};

/** As compared, in as few letters as fit a cell: `$0.67/ft`. */
const shortCompared = (offer: Offer, { unit, currency }: PriceBookView): string =>
  offer.item.kind === 'hardware' && offer.pack > 1
    ? `of ${offer.pack}`
    : asCompared(offer, unit, currency).replace(
        / a (foot|metre|square foot|square metre|piece)$/,
        (_, word: string) => SHORT[word] ?? '',
      );

const SHORT: Record<string, string> = {
  foot: '/ft',
  metre: '/m',
  'square foot': '/sq ft',
  'square metre': '/m²',
  piece: ' each',
};

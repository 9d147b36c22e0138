import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import { faultAt } from '@/core/result';
import { formatTag, type LengthUnit } from '@/core/units';
import { allCompared, currentOffers, perPurchase, usualPieces } from '@/core/pricing';
import { emptyStore, type Kind, type Price, type PriceUnit } from '@/core/project';
import { newId, notify } from '@/hooks';
import { useTries } from '@/forms';
import { Button, Choice, Detail, KINDS, TextField, Text } from '@/ui';
import type { PriceBookView } from './priceBookView';
import { readDraft, roughFor, type PriceDraft } from './draft';

export type { PriceDraft };

interface Props {
  desk: PriceBookView;
  initial: PriceDraft;
  /** Is told every change, so that a closed tab brings it back. */
  onDraft?: (draft: PriceDraft, newStore: string) => void;
  initialStore?: string;
  onClose: () => void;
}

const DECIMAL = ['price', 'weight', 'perWeight', 'waste'];
const NEW_STORE = 'new store';

const UNITS: Record<Kind, { value: PriceUnit; label: string }[]> = {
  board: [
    { value: 'each', label: 'each' },
    { value: 'ft', label: 'foot' },
    { value: 'm', label: 'metre' },
    { value: 'bf', label: 'board foot' },
    { value: 'm3', label: 'cubic metre' },
  ],
  sheet: [
    { value: 'each', label: 'each' },
    { value: 'sqft', label: 'square foot' },
    { value: 'm2', label: 'square metre' },
  ],
  hardware: [
    { value: 'pack', label: 'pack' },
    { value: 'each', label: 'each' },
  ],
};

const PACK_BY: { value: PriceDraft['packBy']; label: string }[] = [
  { value: 'count', label: 'Counted' },
  { value: 'lb', label: 'By the pound' },
  { value: 'kg', label: 'By the kilogram' },
];

const FINISHES: { value: PriceDraft['finish']; label: string }[] = [
  { value: 'dressed', label: 'Planed' },
  { value: 'rough', label: 'Rough, random widths' },
];

type FieldPlace =
  | 'name'
  | 'section'
  | 'length'
  | 'width'
  | 'material'
  | 'price'
  | 'pack'
  | 'minQty'
  | 'available'
  | 'unusable'
  | 'date'
  | 'note'
  | 'weight'
  | 'perWeight'
  | 'planing'
  | 'waste';

/** One price as it is on the shelf tag. */
export const PriceForm = ({ desk, initial, initialStore = '', onDraft, onClose }: Props) => {
  const { unit, currency, book, stores, dispatch, undo } = desk;
  const [draft, setDraft] = useState(initial);
  const [newStore, setStore] = useState(initialStore);
  const tries = useTries();
  const read = readDraft(draft, unit, desk.today);
  const isNewStore = draft.storeId === null;
  const storeFault = isNewStore && newStore.trim() === '' ? 'Give the store a name.' : null;
  const set = (fields: Partial<PriceDraft>) => {
    const next = { ...draft, ...fields };
    setDraft(next);
    onDraft?.(next, newStore);
  };
  const setNewStore = (name: string) => {
    setStore(name);
    onDraft?.(draft, name);
  };
  const field = (place: FieldPlace, label: string, help?: string) => (
    <TextField
      label={label}
      value={draft[place]}
      onChange={(text) => set({ [place]: text })}
      error={tries.told(faultAt(read, place), draft[place])}
      help={help}
      onSubmitEditing={save}
      inputMode={DECIMAL.includes(place) ? 'decimal' : 'text'}
      autoFocus={place === 'price'}
      pad={['length', 'width', 'planing', 'unusable'].includes(place) ? unit : undefined}
    />
  );
  const compared = read.ok ? comparisonWords(read.value, unit, currency) : null;
  const old = draft.id === null ? undefined : book.prices[draft.id];
  return (
    <Detail
      title={draft.id === null ? 'A price' : 'Change a price'}
      onClose={onClose}
      foot={
        <>
          {old ? (
            <Button icon="delete" onPress={remove}>
              Delete
            </Button>
          ) : null}
          <Button mode="contained" onPress={save}>
            Save the price
          </Button>
        </>
      }
    >
      <Choice
        label="Store"
        value={draft.storeId ?? NEW_STORE}
        options={[
          ...stores.map(({ id, name }) => ({ value: id, label: name })),
          { value: NEW_STORE, label: 'Another store' },
        ]}
        onChange={(value) => set({ storeId: value === NEW_STORE ? null : value })}
      />
      {isNewStore ? (
        <TextField
          label="Name of the store"
          value={newStore}
          onChange={setNewStore}
          error={tries.told(storeFault)}
          onSubmitEditing={save}
        />
      ) : null}
      {field('price', `Price on the tag, ${currency}`)}
      <Choice
        label="It is for"
        value={draft.unit}
        options={UNITS[draft.kind]}
        onChange={(unit) => set({ unit })}
      />
      <PackFields draft={draft} field={field} set={set} />
      <ShapeFields draft={draft} unit={unit} field={field} set={set} />
      {field(
        'name',
        'As the shelf tag names it',
        draft.kind === 'hardware' ? undefined : 'Blank: by section, length and material.',
      )}
      {field('minQty', 'Holds from so many on')}
      {field('available', 'Most they have', 'Blank: no limit. 0: out of stock.')}
      {field(
        'date',
        'Seen on',
        draft.id === null
          ? 'Blank: today.'
          : 'A changed price counts as seen today; the old one stays as history.',
      )}
      {field('note', 'Note')}
      <View aria-live="polite">{compared ? <Text tone="soft">{compared}</Text> : null}</View>
    </Detail>
  );

  function save(): void {
    tries.attempt();
    if (!read.ok || storeFault) return;
    const store = isNewStore ? emptyStore(newId(), newStore.trim(), currency) : null;
    const storeId = store?.id ?? draft.storeId ?? '';
    // Another price under the old date was seen today: a new observation, and the old one stays as history.
    const isSeenAnew =
      old !== undefined &&
      read.value.price !== old.price &&
      read.value.date === old.date &&
      old.date !== desk.today;
    const date = isSeenAnew ? desk.today : read.value.date;
    const id = old && !isSeenAnew ? old.id : newId();
    dispatch({
      type: 'putPrices',
      prices: [{ ...read.value, date, id, storeId, source: 'typed' }],
      stores: store ? [store] : [],
    });
    onClose();
  }

  function remove(): void {
    if (!old) return;
    dispatch({ type: 'removePrices', ids: [old.id] });
    onClose();
    notify({ text: `The price of ${old.item.name} is deleted.`, action: { label: 'Undo', run: undo } });
  }
};

/** A price as it compares: by purchase, by piece, by length and by measure. */
const comparisonWords = (
  value: Omit<Price, 'id' | 'storeId' | 'source'>,
  unit: LengthUnit,
  currency: string,
): string => {
  const seen = { ...value, id: 'draft', storeId: 'draft', source: 'typed' as const };
  const each = perPurchase(seen);
  const [offer] = currentOffers({
    stores: { draft: emptyStore('draft', '', currency) },
    prices: { draft: seen },
  });
  if (each === null || !offer) return '';
  return [
    `${formatTag(Math.round(each / 10_000) * 10_000, currency)} a purchase`,
    ...(value.weight ? [`about ${value.pack} pieces`] : []),
    ...allCompared(offer, unit, currency).slice(value.pack > 1 || value.item.kind === 'hardware' ? 0 : 1),
  ].join(', ');
};

interface FieldsProps {
  draft: PriceDraft;
  unit: LengthUnit;
  field: (place: FieldPlace, label: string, help?: string) => ReactNode;
  set: (fields: Partial<PriceDraft>) => void;
}

/** How many pieces it brings: counted, or by weight. */
const PackFields = ({ draft, field, set }: Pick<FieldsProps, 'draft' | 'field' | 'set'>) => (
  <>
    {draft.kind === 'hardware' ? (
      <Choice
        label="How much it brings"
        value={draft.packBy}
        options={PACK_BY}
        onChange={(packBy) => set({ packBy, perWeight: perWeightFor(draft, packBy) })}
      />
    ) : null}
    {draft.kind === 'hardware' && draft.packBy !== 'count' ? (
      <>
        {field('weight', `Weight of the pack, ${draft.packBy}`)}
        {field(
          'perWeight',
          `Pieces in a ${draft.packBy === 'lb' ? 'pound' : 'kilogram'}`,
          'By the label, or weigh a handful. About 215 deck screws of 2 1/2 in weigh 2 lb (rule of thumb).',
        )}
      </>
    ) : draft.unit === 'each' || draft.unit === 'pack' ? (
      field(
        'pack',
        'Pieces it brings',
        draft.kind === 'hardware' ? 'A box of 100 brings 100.' : 'A bundle of 8 brings 8.',
      )
    ) : null}
  </>
);

const perWeightFor = (draft: PriceDraft, packBy: PriceDraft['packBy']): string => {
  const usual = packBy === 'count' ? null : usualPieces(draft.name, packBy);
  return draft.perWeight === '' && usual !== null ? String(usual) : draft.perWeight;
};

/** What is priced: its kind, its size, and whether it is planed. */
const ShapeFields = ({ draft, unit, field, set }: FieldsProps) => (
  <>
    <Choice
      label="What it is"
      value={draft.kind}
      options={KINDS}
      onChange={(kind) => set({ kind, unit: kind === 'hardware' ? 'pack' : 'each' })}
    />
    {draft.kind === 'hardware' ? null : (
      <>
        {field('section', draft.kind === 'board' ? 'Section' : 'Thickness')}
        {field('length', 'Length of it')}
        {draft.kind === 'sheet' ? field('width', 'Width of it') : null}
        {field('unusable', 'Lost at the ends', 'Both ends together: pointed tops, cracks. Blank: none.')}
        {field('material', 'Material')}
      </>
    )}
    {draft.kind === 'board' ? (
      <Choice
        label="Its faces"
        value={draft.finish}
        options={FINISHES}
        onChange={(finish) => set({ finish, ...(finish === 'rough' ? roughFor(draft, unit) : {}) })}
      />
    ) : null}
    {draft.kind === 'board' && draft.finish === 'rough' ? (
      <>
        <Text size="small" tone="soft">
          Write the section and length it usually comes in. Whole boards of that are bought, planed and made
          straight; what is narrower is ripped from them, and the waste is bought as spare boards.
        </Text>
        {field('planing', 'Planing takes off')}
        {field('waste', 'Waste in percent', 'Knots, wane and ends: a quarter is usual (rule of thumb).')}
      </>
    ) : null}
  </>
);

import { useState } from 'react';
import { View } from 'react-native';
import { formatTag } from '@/core/measure';
import { asCompared, currentOffers, perPurchase } from '@/core/prices';
import { emptyStore, type Kind, type PriceUnit, type Store } from '@/core/project';
import { newId, notify, today, type OpenProject } from '@/data';
import { Button, Choice, Detail, KINDS, TextField, Words } from '@/ui';
import { readDraft, type PriceDraft } from './draft';

export type { PriceDraft };

interface Props {
  open: OpenProject;
  stores: Store[];
  initial: PriceDraft;
  onClose: () => void;
}

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

/** One price as it is on the shelf tag. */
export const PriceForm = ({ open: { project, book, runOnBook, undo }, stores, initial, onClose }: Props) => {
  const [draft, setDraft] = useState(initial);
  const [newStore, setNewStore] = useState('');
  const [wasTried, setTried] = useState(false);
  const read = readDraft(draft, project.unit, today());
  const isNewStore = draft.storeId === null;
  const storeFault = isNewStore && newStore.trim() === '' ? 'Give the store a name.' : null;
  const set = (fields: Partial<PriceDraft>) => setDraft({ ...draft, ...fields });
  const fault = (place: keyof PriceDraft): string | null => {
    const found = read.ok
      ? null
      : (read.problems.find((problem) => problem.place === place)?.sentence ?? null);
    return wasTried || String(draft[place] ?? '') !== '' ? found : null;
  };
  const field = (
    place:
      | 'name'
      | 'section'
      | 'length'
      | 'width'
      | 'material'
      | 'price'
      | 'pack'
      | 'minQty'
      | 'available'
      | 'date',
    label: string,
    help?: string,
  ) => (
    <TextField
      label={label}
      value={draft[place]}
      onChange={(text) => set({ [place]: text })}
      error={fault(place)}
      help={help}
      onSubmitEditing={save}
      inputMode={place === 'price' ? 'decimal' : 'text'}
      autoFocus={place === 'price'}
      pad={place === 'length' || place === 'width' ? project.unit : undefined}
    />
  );
  const kindOfPack = draft.unit === 'each' || draft.unit === 'pack';
  const compared = read.ok ? comparison() : null;
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
          error={wasTried ? storeFault : null}
          onSubmitEditing={save}
        />
      ) : null}
      {field('price', `Price on the tag, ${project.currency}`)}
      <Choice
        label="It is for"
        value={draft.unit}
        options={UNITS[draft.kind]}
        onChange={(unit) => set({ unit })}
      />
      {kindOfPack
        ? field(
            'pack',
            'Pieces it brings',
            draft.kind === 'hardware' ? 'A box of 100 brings 100.' : 'A bundle of 8 brings 8.',
          )
        : null}
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
          {field('material', 'Material')}
        </>
      )}
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
      <View aria-live="polite">{compared ? <Words tone="soft">{compared}</Words> : null}</View>
    </Detail>
  );

  function comparison(): string {
    if (!read.ok) return '';
    const seen = { ...read.value, id: 'draft', storeId: 'draft', source: 'typed' as const, note: '' };
    const each = perPurchase(seen);
    const [offer] = currentOffers({
      stores: { draft: emptyStore('draft', '', project.currency) },
      prices: { draft: seen },
    });
    return each === null || !offer
      ? ''
      : `${formatTag(Math.round(each / 10_000) * 10_000, project.currency)} a purchase, ${asCompared(offer, project.unit, project.currency)}`;
  }

  function save(): void {
    setTried(true);
    if (!read.ok || storeFault) return;
    const store = isNewStore ? emptyStore(newId(), newStore.trim(), project.currency) : null;
    const storeId = store?.id ?? draft.storeId ?? '';
    // Another price under the old date was seen today: a new observation, and the old one stays as history.
    const isSeenAnew =
      old !== undefined &&
      read.value.price !== old.price &&
      read.value.date === old.date &&
      old.date !== today();
    const date = isSeenAnew ? today() : read.value.date;
    const id = old && !isSeenAnew ? old.id : newId();
    runOnBook({
      type: 'putPrices',
      prices: [{ ...read.value, date, id, storeId, source: 'typed', note: old?.note ?? '' }],
      stores: store ? [store] : [],
    });
    onClose();
  }

  function remove(): void {
    if (!old) return;
    runOnBook({ type: 'removePrices', ids: [old.id] });
    onClose();
    notify({ text: `The price of ${old.item.name} is deleted.`, action: { label: 'Undo', run: undo } });
  }
};

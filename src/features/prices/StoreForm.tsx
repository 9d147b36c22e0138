import { useState } from 'react';
import { faultAt } from '@/core/result';
import { formatMoney } from '@/core/units';
import { emptyStore, type Store } from '@/core/project';
import { newId, notify } from '@/hooks';
import { useTries } from '@/forms';
import { Button, Choice, Detail, TextField, Text } from '@/ui';
import type { PriceBookView } from './priceBookView';
import { draftOfStore, readStore, type StoreDraft } from './storeDraft';
import { STORE_KINDS } from './words';

interface Props {
  desk: PriceBookView;
  /** Null: a new one. */
  storeId: string | null;
  /** What was half typed when the tab was closed. */
  kept?: StoreDraft;
  onDraft?: (draft: StoreDraft) => void;
  onClose: () => void;
}

const TRIPS: { value: StoreDraft['tripBy']; label: string }[] = [
  { value: 'sum', label: 'A sum' },
  { value: 'mi', label: 'Miles' },
  { value: 'km', label: 'Kilometres' },
];

const TAXES: { value: StoreDraft['tax']; label: string }[] = [
  { value: 'project', label: 'As in the project' },
  { value: 'own', label: 'Its own rate' },
  { value: 'none', label: 'None is added' },
];

type Field =
  | 'name'
  | 'trip'
  | 'distance'
  | 'rate'
  | 'taxRate'
  | 'discount'
  | 'fee'
  | 'freeFrom'
  | 'cuts'
  | 'cutFee'
  | 'note';

/** One store: what going there or ordering there adds to its prices. */
export const StoreForm = ({ desk, storeId, kept, onDraft, onClose }: Props) => {
  const { book, currency, unit, project, dispatch, undo } = desk;
  const [id] = useState(() => storeId ?? newId());
  const held: Store | undefined = book.stores[id];
  const blank = held ?? emptyStore(id, '', currency);
  const [draft, setDraft] = useState(() => kept ?? draftOfStore(blank, unit));
  const tries = useTries();
  const others = desk.stores.filter((store) => store.id !== id);
  const read = readStore(draft, blank, others);
  const set = (fields: Partial<StoreDraft>) => {
    const next = { ...draft, ...fields };
    setDraft(next);
    onDraft?.(next);
  };
  const field = (place: Field, label: string, help?: string) => (
    <TextField
      label={label}
      value={draft[place]}
      onChange={(text) => set({ [place]: text })}
      error={tries.told(faultAt(read, place), draft[place])}
      help={help}
      onSubmitEditing={save}
      inputMode={place === 'name' || place === 'note' ? 'text' : 'decimal'}
    />
  );
  const isExcluded = project?.excludedStores.includes(id) ?? false;
  const prices = Object.values(book.prices).filter((price) => price.storeId === id).length;
  const perWay = draft.tripBy === 'mi' ? 'mile' : 'kilometre';
  return (
    <Detail
      title={held?.name ?? 'New store'}
      onClose={onClose}
      foot={
        <>
          {held ? (
            <Button icon="delete" onPress={remove}>
              Delete
            </Button>
          ) : null}
          <Button mode="contained" onPress={save}>
            Save the store
          </Button>
        </>
      }
    >
      {field('name', 'Name')}
      <Choice
        label="Kind of store"
        value={draft.kind}
        options={STORE_KINDS}
        onChange={(kind) => set({ kind })}
      />
      {held && project ? (
        <Choice
          label={`For ${project.name}`}
          value={isExcluded ? 'out' : 'in'}
          options={[
            { value: 'in', label: 'May be used' },
            { value: 'out', label: 'Leave it out' },
          ]}
          onChange={(value) => dispatch({ type: 'excludeStore', storeId: id, excluded: value === 'out' })}
        />
      ) : null}
      <Choice
        label="The trip is told as"
        value={draft.tripBy}
        options={TRIPS}
        onChange={(tripBy) => set({ tripBy })}
      />
      {draft.tripBy === 'sum' ? (
        field('trip', `What one trip there costs, ${currency}`)
      ) : (
        <>
          {field('distance', `There and back, ${draft.tripBy}`)}
          {field('rate', `A ${perWay} costs you, ${currency}`, 'Fuel and wear; your own figure.')}
          <Text tone="soft" aria-live="polite">
            {read.ok ? `${formatMoney(read.value.trip, currency)} a trip` : ''}
          </Text>
        </>
      )}
      {field('discount', 'Discount on all its goods, in percent')}
      <Choice label="Tax" value={draft.tax} options={TAXES} onChange={(tax) => set({ tax })} />
      {draft.tax === 'own' ? field('taxRate', 'Tax there, in percent') : null}
      {field('fee', `Shipping fee, ${currency}`, 'Blank: nothing is shipped.')}
      {draft.fee.trim() === '' ? null : field('freeFrom', 'Shipping is free from', 'Blank: never.')}
      {field('cuts', 'Cuts it makes in a board to fit your car', '0: it does not saw.')}
      {['', '0'].includes(draft.cuts.trim())
        ? null
        : field('cutFee', `Each such cut costs, ${currency}`, 'Blank: nothing.')}
      {field('note', 'Note')}
    </Detail>
  );

  function save(): void {
    tries.attempt();
    if (!read.ok) return;
    dispatch({ type: 'putStore', store: read.value });
    onClose();
  }

  function remove(): void {
    if (!held) return;
    dispatch({ type: 'removeStore', storeId: id });
    onClose();
    notify({
      text: `${held.name} is deleted, with its ${prices} prices.`,
      action: { label: 'Undo', run: undo },
    });
  }
};

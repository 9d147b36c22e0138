import { type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { capital } from '@/core/capital';
import { faultAt } from '@/core/result';
import { formatMoney, symbol, writeMoney } from '@/core/units';
import { CATEGORIES, tagName, type Category, type Project, type Purchase, type Store } from '@/core/project';
import { nameKey } from '@/core/lumber';
import { Button, Choice, Detail, Text, TextField } from '@/ui';
import {
  draftOfPurchase,
  proposedSum,
  readPurchase,
  type PurchaseAt,
  type PurchaseDraft,
} from './purchaseDraft';
import { forgetKept, useKept } from './useKept';
import { useTries } from './useTries';

const WORDS: { value: Category; label: string }[] = CATEGORIES.map((value) => ({
  value,
  label: capital(value),
}));

const TAX_OF_NEW = 'Blank: by the rate of the store.';
const TAX_OF_OLD = 'As on the receipt; else it follows the rate of the store.';

/**
 * What was bought, where and when, and what was paid in all; tax is told apart by the store's rate. Of what was planned at a
 * store only what may differ is asked.
 */
export const PurchaseForm = ({
  project: { currency, settings },
  stores,
  at,
  isPlanned = false,
  more,
  onSave,
  onRemove,
  onClose,
}: {
  project: Pick<Project, 'currency' | 'settings'>;
  /** Stores of the book that it may be of. */
  stores: Store[];
  at: PurchaseAt;
  /** Thing and store are known from the plan. */
  isPlanned?: boolean;
  /** What else can be done with it. */
  more?: ReactNode;
  onSave: (purchase: Purchase) => void;
  onRemove?: { label: string; run: () => void };
  onClose: () => void;
}) => {
  const { isNew } = at;
  const line = at.purchase.lines[at.line];
  // Of the very same thing as it stands: what has changed since is read anew.
  const form = `purchase ${isNew ? at.purchase.storeId : at.purchase.id} ${at.line} ${JSON.stringify(line)}`;
  const [draft, setDraft] = useKept(form, 'draft', () => draftOfPurchase(at, isPlanned, currency));
  const tries = useTries();
  if (!line) return null;
  const read = readPurchase(draft, { at, isPlanned, stores, settings, currency });
  const set = (fields: Partial<PurchaseDraft>) => setDraft({ ...draft, ...fields });
  const fault = (place: keyof PurchaseDraft) => faultAt(read, place);
  const save = () => {
    tries.attempt();
    if (!read.ok) return;
    onSave(read.value);
    forgetKept(form);
    onClose();
  };
  return (
    <Detail
      title={isNew && !isPlanned ? 'Something bought' : tagName(line.item)}
      onClose={onClose}
      foot={
        <>
          {onRemove ? <Button onPress={onRemove.run}>{onRemove.label}</Button> : null}
          <Button mode="contained" onPress={save} disabled={isPlanned && !read.ok}>
            {isPlanned ? (isNew ? 'Bought' : 'Save what was paid') : isNew ? 'Record it' : 'Save'}
          </Button>
        </>
      }
    >
      {isPlanned ? (
        <Text tone="soft">{plannedWords(at, currency)}</Text>
      ) : line.item.kind === 'hardware' ? (
        <TextField
          label="What was bought"
          value={draft.item}
          onChange={(item) => set({ item })}
          onSubmitEditing={save}
          autoFocus={isNew}
          error={tries.told(fault('item'))}
        />
      ) : null}
      <TextField
        label={`Paid in all, with tax, ${symbol(currency).trim()}`}
        value={draft.paid ?? writeMoney(proposedSum(line, draft.quantity), currency)}
        onChange={(paid) => set({ paid })}
        inputMode="decimal"
        onSubmitEditing={save}
        autoFocus={isPlanned}
        error={isPlanned ? fault('paid') : tries.told(fault('paid'))}
      />
      {isPlanned ? null : (
        <StoreField
          value={draft.store}
          onChange={(store) => set({ store })}
          onSubmit={save}
          stores={stores}
          error={tries.told(fault('store'))}
        />
      )}
      <TextField
        label={line.pack > 1 ? `How many packs of ${line.pack}` : 'How many'}
        value={draft.quantity}
        onChange={(quantity) => set({ quantity })}
        inputMode="numeric"
        onSubmitEditing={save}
        error={fault('quantity')}
      />
      <TextField
        label="Bought on"
        value={draft.date}
        onChange={(date) => set({ date })}
        onSubmitEditing={save}
        error={fault('date')}
      />
      {isPlanned ? null : (
        <>
          <TextField
            label={`Tax in it, ${symbol(currency).trim()}`}
            value={draft.tax}
            onChange={(tax) => set({ tax })}
            inputMode="decimal"
            onSubmitEditing={save}
            error={fault('tax')}
            help={isNew ? TAX_OF_NEW : TAX_OF_OLD}
          />
          <Choice
            label="What it is for"
            value={draft.category}
            options={WORDS}
            onChange={(category) => set({ category })}
          />
          <TextField
            label="Note"
            value={draft.note}
            onChange={(note) => set({ note })}
            onSubmitEditing={save}
          />
        </>
      )}
      {more}
    </Detail>
  );
};

const plannedWords = ({ purchase, line: index, isNew }: PurchaseAt, currency: string): string => {
  const line = purchase.lines[index];
  const planned = isNew && line ? `, planned at ${formatMoney(line.price + line.tax, currency)}` : '';
  return `At ${purchase.store}${planned}.`;
};

/** Where it was bought: a store of the book, or any name. */
const StoreField = ({
  value,
  onChange,
  onSubmit,
  stores,
  error,
}: {
  value: string;
  onChange: (store: string) => void;
  onSubmit: () => void;
  stores: Store[];
  error: string | null;
}) => (
  <View>
    <TextField label="Store" value={value} onChange={onChange} onSubmitEditing={onSubmit} error={error} />
    {stores.length > 0 ? (
      <View style={styles.stores}>
        {stores.map(({ id, name }) => (
          <Button
            key={id}
            mode={nameKey(name) === nameKey(value) ? 'contained-tonal' : 'outlined'}
            compact
            accessibilityLabel={`At ${name}`}
            onPress={() => onChange(name)}
          >
            {name}
          </Button>
        ))}
      </View>
    ) : null}
  </View>
);

const styles = StyleSheet.create({
  stores: { flexDirection: 'row', flexWrap: 'wrap', gap: 6, marginTop: 6 },
});

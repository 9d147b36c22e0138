import { useState, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { purchaseLine } from '@/core/budget';
import { capital } from '@/core/capital';
import type { Result } from '@/core/result';
import { formatMoney, parseCount, parseMoney, symbol, writeMoney, isDay } from '@/core/units';
import {
  CATEGORIES,
  tagName,
  wholeLine,
  type Category,
  type Project,
  type Purchase,
  type PurchaseLine,
  type Store,
} from '@/core/project';
import { nameKey } from '@/core/lumber';
import { Button, Choice, Detail, Text, TextField } from '@/ui';

const WORDS: { value: Category; label: string }[] = CATEGORIES.map((value) => ({
  value,
  label: capital(value),
}));

const TAX_OF_NEW = 'Blank: by the rate of the store.';
const TAX_OF_OLD = 'As on the receipt; else it follows the rate of the store.';

/** A line of a purchase that is being written: a new one, or one that is mended. */
export interface PurchaseAt {
  purchase: Purchase;
  line: number;
  isNew: boolean;
}

/**
 * What was bought, where and when, and what was paid in all; tax is told apart by the store's rate. Of what was planned at a
 * store only what may differ is asked.
 */
export const PurchaseForm = ({
  project: { currency, settings },
  stores,
  at: { purchase, line: index, isNew },
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
  const line = purchase.lines[index];
  const planned = line ? line.price + line.tax : 0;
  const [item, setItem] = useState(line ? tagName(line.item) : '');
  const [store, setStore] = useState(purchase.store);
  // Until a price is typed, it follows the quantity.
  const [paid, setPaid] = useState<string | null>(isNew && !isPlanned ? '' : null);
  const [quantity, setQuantity] = useState(String(line?.quantity ?? 1));
  const [date, setDate] = useState(purchase.date);
  const [category, setCategory] = useState<Category>(line?.category ?? 'other');
  const taxBefore = isNew || !line ? '' : writeMoney(line.tax, currency);
  const [tax, setTax] = useState(taxBefore);
  const [note, setNote] = useState(line?.note ?? (purchase.lines.length === 1 ? purchase.note : ''));
  const [isTried, setTried] = useState(false);
  if (!line) return null;
  const count = parseCount(quantity);
  const proposed = count.ok ? Math.round((planned * count.value) / line.quantity) : planned;
  const sum = paid === null ? { ok: true as const, value: proposed } : parseMoney(paid, currency);
  // Untouched, it follows from what was paid by the store's rate.
  const isTaxTold = !isPlanned && tax.trim() !== '' && tax !== taxBefore;
  const told = isTaxTold ? parseMoney(tax, currency) : null;
  const taxFault = taxFaultOf(told, sum);
  const isReady = !taxFault && sum.ok && count.ok && isDay(date) && item.trim() !== '' && store.trim() !== '';
  const save = () => {
    setTried(true);
    if (!sum.ok || !count.ok || !isReady) return;
    const known = stores.find(({ name }) => nameKey(name) === nameKey(store));
    const named = line.item.kind === 'hardware' ? { ...line.item, name: item.trim() } : line.item;
    const { note: _, share, ...held } = line;
    const isSame = sum.value === planned && known?.id === purchase.storeId;
    const money = told?.ok
      ? { price: sum.value - told.value, tax: told.value }
      : isSame
        ? {}
        : purchaseLine(
            named,
            line.pack,
            count.value,
            sum.value,
            known ?? { taxFree: false },
            settings,
            currency,
          );
    const written = {
      ...held,
      ...money,
      item: named,
      quantity: count.value,
      category,
      ...(share ? { share: { ...share, whole: wholeLine(line) - planned + sum.value } } : {}),
      ...(note.trim() === '' ? {} : { note: note.trim() }),
    };
    onSave(withLine(purchase, index, written, { date, store, known }));
    onClose();
  };
  const missing = (text: string, sentence: string) => (isTried && text.trim() === '' ? sentence : null);
  return (
    <Detail
      title={isNew && !isPlanned ? 'Something bought' : tagName(line.item)}
      onClose={onClose}
      foot={
        <>
          {onRemove ? <Button onPress={onRemove.run}>{onRemove.label}</Button> : null}
          <Button mode="contained" onPress={save} disabled={isPlanned && !isReady}>
            {isPlanned ? (isNew ? 'Bought' : 'Save what was paid') : isNew ? 'Record it' : 'Save'}
          </Button>
        </>
      }
    >
      {isPlanned ? (
        <Text tone="soft">{`At ${purchase.store}${isNew ? `, planned at ${formatMoney(planned, currency)}` : ''}.`}</Text>
      ) : line.item.kind === 'hardware' ? (
        <TextField
          label="What was bought"
          value={item}
          onChange={setItem}
          onSubmitEditing={save}
          autoFocus={isNew}
          error={missing(item, 'Say what it is, as the receipt does.')}
        />
      ) : null}
      <TextField
        label={`Paid in all, with tax, ${symbol(currency).trim()}`}
        value={paid ?? writeMoney(proposed, currency)}
        onChange={setPaid}
        inputMode="decimal"
        onSubmitEditing={save}
        autoFocus={isPlanned}
        error={(isTried || isPlanned) && !sum.ok ? (sum.problems[0]?.sentence ?? '') : null}
      />
      {isPlanned ? null : (
        <StoreField
          value={store}
          onChange={setStore}
          onSubmit={save}
          stores={stores}
          error={missing(store, 'Say where: a store of the book, or any name.')}
        />
      )}
      <TextField
        label={line.pack > 1 ? `How many packs of ${line.pack}` : 'How many'}
        value={quantity}
        onChange={setQuantity}
        inputMode="numeric"
        onSubmitEditing={save}
        error={count.ok ? null : (count.problems[0]?.sentence ?? null)}
      />
      <TextField
        label="Bought on"
        value={date}
        onChange={setDate}
        onSubmitEditing={save}
        error={isDay(date) ? null : `"${date}" is not a date; write it as 2026-05-31.`}
      />
      {isPlanned ? null : (
        <>
          <TextField
            label={`Tax in it, ${symbol(currency).trim()}`}
            value={tax}
            onChange={setTax}
            inputMode="decimal"
            onSubmitEditing={save}
            error={taxFault}
            help={isNew ? TAX_OF_NEW : TAX_OF_OLD}
          />
          <Choice label="What it is for" value={category} options={WORDS} onChange={setCategory} />
          <TextField label="Note" value={note} onChange={setNote} onSubmitEditing={save} />
        </>
      )}
      {more}
    </Detail>
  );
};

const taxFaultOf = (tax: Result<number> | null, paid: Result<number>): string | null => {
  if (tax && !tax.ok) return tax.problems[0]?.sentence ?? '';
  return tax?.ok && paid.ok && tax.value > paid.value ? 'The tax is more than all that was paid.' : null;
};

/** The purchase with one line written anew, of this day and store. */
const withLine = (
  purchase: Purchase,
  index: number,
  written: PurchaseLine,
  { date, store, known }: { date: string; store: string; known: Store | undefined },
): Purchase => ({
  ...purchase,
  note: purchase.lines.length === 1 ? '' : purchase.note,
  date,
  storeId: known?.id ?? '',
  store: known?.name ?? store.trim(),
  lines: purchase.lines.map((other, place) => (place === index ? written : other)),
});

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

import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { purchaseLine } from '@/core/budget';
import { capital } from '@/core/capital';
import { isDate } from '@/core/formats';
import { parseCount, parseMoney, symbol, writeMoney } from '@/core/measure';
import { CATEGORIES, tagName, type Category, type Purchase } from '@/core/project';
import { nameKey } from '@/core/wood';
import { newId, notify, type OpenProject } from '@/data';
import { Button, Choice, Detail, TextField, Words } from '@/ui';

/** A line of the ledger that is being written: a new one, or one of a purchase. */
export interface Writing {
  purchase: Purchase;
  line: number;
  isNew: boolean;
}

/** A purchase that nothing is known of yet. */
export const blankPurchase = (date: string): Purchase => ({
  id: newId(),
  date,
  storeId: '',
  store: '',
  note: '',
  lines: [
    {
      item: { kind: 'hardware', name: '', section: '', length: null, width: null, material: '' },
      pack: 1,
      quantity: 1,
      price: 0,
      tax: 0,
      category: 'other',
    },
  ],
});

const WORDS: { value: Category; label: string }[] = CATEGORIES.map((value) => ({
  value,
  label: capital(value),
}));

/** What was bought, where and when, and what was paid in all; tax is told apart by the store's rate. */
export const EntryForm = ({
  open: { project, book, run, undo },
  writing: { purchase, line: index, isNew },
  onClose,
}: {
  open: OpenProject;
  writing: Writing;
  onClose: () => void;
}) => {
  const { currency } = project;
  const line = purchase.lines[index];
  const [item, setItem] = useState(line ? tagName(line.item) : '');
  const [store, setStore] = useState(purchase.store);
  const [paid, setPaid] = useState(isNew ? '' : writeMoney((line?.price ?? 0) + (line?.tax ?? 0), currency));
  const [quantity, setQuantity] = useState(String(line?.quantity ?? 1));
  const [date, setDate] = useState(purchase.date);
  const [category, setCategory] = useState<Category>(line?.category ?? 'other');
  const [note, setNote] = useState(purchase.note);
  const [isTried, setIsTried] = useState(false);
  if (!line) return null;
  const sum = parseMoney(paid, currency);
  const count = parseCount(quantity);
  const known = Object.values(book.stores).filter((one) => one.currency === currency);
  const isReady = sum.ok && count.ok && isDate(date) && item.trim() !== '' && store.trim() !== '';
  const save = () => {
    setIsTried(true);
    if (!sum.ok || !count.ok || !isReady) return;
    const at = known.find(({ name }) => nameKey(name) === nameKey(store));
    const named = line.item.kind === 'hardware' ? { ...line.item, name: item.trim() } : line.item;
    const written = {
      ...purchaseLine(named, line.pack, count.value, sum.value, at ?? { taxFree: false }, project.settings, currency),
      category,
    };
    run({
      type: 'recordPurchase',
      purchase: {
        ...purchase,
        date,
        note: note.trim(),
        storeId: at?.id ?? '',
        store: at?.name ?? store.trim(),
        lines: purchase.lines.map((other, place) => (place === index ? written : other)),
      },
    });
    onClose();
  };
  const remove = () => {
    const lines = purchase.lines.filter((_, place) => place !== index);
    if (lines.length === 0) run({ type: 'removePurchase', purchaseId: purchase.id });
    else run({ type: 'recordPurchase', purchase: { ...purchase, lines } });
    onClose();
    notify({ text: `${item} is out of the ledger.`, action: { label: 'Undo', run: undo } });
  };
  const missing = (text: string, sentence: string) => (isTried && text.trim() === '' ? sentence : null);
  return (
    <Detail
      title={isNew ? 'Something bought' : item}
      onClose={onClose}
      foot={
        <>
          {isNew ? null : (
            <Button icon="delete" onPress={remove}>
              Delete
            </Button>
          )}
          <Button mode="contained" onPress={save}>
            {isNew ? 'Record it' : 'Save'}
          </Button>
        </>
      }
    >
      {line.item.kind === 'hardware' ? (
        <TextField label="What was bought" value={item} onChange={setItem} onSubmitEditing={save} autoFocus={isNew} error={missing(item, 'Say what it is, as the receipt does.')} />
      ) : (
        <Words tone="soft">{item}</Words>
      )}
      <TextField label={`Paid in all, with tax, ${symbol(currency).trim()}`} value={paid} onChange={setPaid} inputMode="decimal" onSubmitEditing={save} error={isTried && !sum.ok ? (sum.problems[0]?.sentence ?? '') : null} />
      <View>
        <TextField label="Store" value={store} onChange={setStore} onSubmitEditing={save} error={missing(store, 'Say where: a store of the book, or any name.')} />
        {known.length > 0 ? (
          <View style={styles.stores}>
            {known.map(({ id, name }) => (
              <Button key={id} mode={nameKey(name) === nameKey(store) ? 'contained-tonal' : 'outlined'} compact accessibilityLabel={`At ${name}`} onPress={() => setStore(name)}>
                {name}
              </Button>
            ))}
          </View>
        ) : null}
      </View>
      <TextField label={line.pack > 1 ? `How many packs of ${line.pack}` : 'How many'} value={quantity} onChange={setQuantity} inputMode="numeric" onSubmitEditing={save} error={count.ok ? null : (count.problems[0]?.sentence ?? null)} />
      <TextField label="Bought on" value={date} onChange={setDate} onSubmitEditing={save} error={isDate(date) ? null : `"${date}" is not a date; write it as 2026-05-31.`} />
      <Choice label="What it is for" value={category} options={WORDS} onChange={setCategory} />
      <TextField label="Note" value={note} onChange={setNote} onSubmitEditing={save} />
    </Detail>
  );
}; // prettier-ignore

const styles = StyleSheet.create({
  stores: { flexDirection: 'row', flexWrap: 'wrap', gap: 6, marginTop: 6 },
});

import { useState } from 'react';
import { purchaseLine } from '@/core/budget';
import { formatMoney, parseCount, parseMoney, writeMoney } from '@/core/measure';
import { isDate } from '@/core/formats';
import { tagName, type Purchase } from '@/core/project';
import { notify, type OpenProject } from '@/data';
import { Button, Detail, TextField, Words } from '@/ui';

/** A purchase that is being made or mended. */
export interface Bought {
  key: string;
  purchase: Purchase;
  isNew: boolean;
}

/** How many were bought, when, and what was really paid for them, with tax. */
export const BoughtForm = ({
  open: { project, book, run, undo },
  bought: { purchase, isNew },
  onClose,
}: {
  open: OpenProject;
  bought: Bought;
  onClose: () => void;
}) => {
  const line = purchase.lines[0];
  const planned = line ? line.price + line.tax : 0;
  const text = (minor: number) => writeMoney(minor, project.currency);
  const [quantity, setQuantity] = useState(String(line?.quantity ?? 1));
  const [paid, setPaid] = useState<string | null>(null);
  const [date, setDate] = useState(purchase.date);
  if (!line) return null;
  const count = parseCount(quantity);
  // Until a price is typed, it follows the quantity.
  const proposed = count.ok ? Math.round((planned * count.value) / line.quantity) : planned;
  const sum = paid === null ? { ok: true as const, value: proposed } : parseMoney(paid, project.currency);
  const isReady = count.ok && sum.ok && isDate(date);
  const save = () => {
    if (!count.ok || !sum.ok || !isDate(date)) return;
    const store = book.stores[purchase.storeId] ?? { taxFree: false };
    const lines = [
      purchaseLine(line.item, line.pack, count.value, sum.value, store, project.settings, project.currency),
    ];
    run({ type: 'recordPurchase', purchase: { ...purchase, date, lines } });
    onClose();
  };
  const remove = () => {
    run({ type: 'removePurchase', purchaseId: purchase.id });
    onClose();
    notify({ text: `${tagName(line.item)} is to buy again.`, action: { label: 'Undo', run: undo } });
  };
  return (
    <Detail
      title={tagName(line.item)}
      onClose={onClose}
      foot={
        <>
          {isNew ? null : <Button onPress={remove}>Not bought</Button>}
          <Button mode="contained" onPress={save} disabled={!isReady}>
            {isNew ? 'Bought' : 'Save what was paid'}
          </Button>
        </>
      }
    >
      <Words tone="soft">
        At {purchase.store}
        {isNew ? `, planned at ${formatMoney(planned, project.currency)}` : ''}.
      </Words>
      <TextField
        label="Paid in all, with tax"
        value={paid ?? text(proposed)}
        onChange={setPaid}
        error={sum.ok ? null : (sum.problems[0]?.sentence ?? null)}
        inputMode="decimal"
        onSubmitEditing={save}
        autoFocus
      />
      <TextField
        label={line.pack > 1 ? `How many packs of ${line.pack}` : 'How many'}
        value={quantity}
        onChange={setQuantity}
        error={count.ok ? null : (count.problems[0]?.sentence ?? null)}
        inputMode="numeric"
        onSubmitEditing={save}
      />
      <TextField
        label="Bought on"
        value={date}
        onChange={setDate}
        error={isDate(date) ? null : `"${date}" is not a date; write it as 2026-05-31.`}
        onSubmitEditing={save}
      />
    </Detail>
  );
};

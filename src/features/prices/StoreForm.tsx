import { useState } from 'react';
import { decimals, parseDecimal, parseMoney, toMain, type Minor } from '@/core/measure';
import { emptyStore, type Store } from '@/core/project';
import { ok, type Problem, type Result } from '@/core/result';
import { newId, notify, type OpenProject } from '@/data';
import { Button, Choice, Detail, TextField } from '@/ui';
import { nameKey } from '@/core/wood';
import { STORE_KINDS } from './words';

interface StoreDraft extends Pick<Store, 'name' | 'kind' | 'taxFree' | 'note'> {
  trip: string;
  discount: string;
  fee: string;
  freeFrom: string;
}

/** One store: what going there or ordering there adds to its prices. */
export const StoreForm = ({
  open: { project, book, run, runOnBook, undo },
  storeId,
  onClose,
}: {
  open: OpenProject;
  storeId: string | null;
  onClose: () => void;
}) => {
  const held = storeId === null ? undefined : book.stores[storeId];
  const [id] = useState(() => storeId ?? newId());
  const [draft, setDraft] = useState(() => draftOf(held ?? emptyStore(id, '', project.currency)));
  const [wasTried, setTried] = useState(false);
  const others = Object.values(book.stores).filter(
    (store) => store.id !== id && store.currency === project.currency,
  );
  const read = readStore(draft, held ?? emptyStore(id, '', project.currency), others);
  const set = (fields: Partial<StoreDraft>) => setDraft({ ...draft, ...fields });
  const fault = (place: keyof StoreDraft): string | null =>
    read.ok || (!wasTried && draft[place] === '')
      ? null
      : (read.problems.find((problem) => problem.place === place)?.sentence ?? null);
  const field = (
    place: 'name' | 'trip' | 'discount' | 'fee' | 'freeFrom' | 'note',
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
    />
  );
  const isExcluded = project.excludedStores.includes(id);
  const prices = Object.values(book.prices).filter((price) => price.storeId === id).length;
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
      {held ? (
        <Choice
          label={`For ${project.name}`}
          value={isExcluded ? 'out' : 'in'}
          options={[
            { value: 'in', label: 'May be used' },
            { value: 'out', label: 'Leave it out' },
          ]}
          onChange={(value) => run({ type: 'excludeStore', storeId: id, excluded: value === 'out' })}
        />
      ) : null}
      {field('trip', `What one trip there costs, ${project.currency}`)}
      {field('discount', 'Discount on all its goods, in percent')}
      <Choice
        label="Tax"
        value={draft.taxFree ? 'free' : 'taxed'}
        options={[
          { value: 'taxed', label: 'As in the project' },
          { value: 'free', label: 'None is added' },
        ]}
        onChange={(value) => set({ taxFree: value === 'free' })}
      />
      {field('fee', `Shipping fee, ${project.currency}`, 'Blank: nothing is shipped.')}
      {draft.fee.trim() === '' ? null : field('freeFrom', 'Shipping is free from', 'Blank: never.')}
      {field('note', 'Note')}
    </Detail>
  );

  function save(): void {
    setTried(true);
    if (!read.ok) return;
    runOnBook({ type: 'putStore', store: read.value });
    onClose();
  }

  function remove(): void {
    if (!held) return;
    runOnBook({ type: 'removeStore', storeId: id });
    onClose();
    notify({
      text: `${held.name} is deleted, with its ${prices} prices.`,
      action: { label: 'Undo', run: undo },
    });
  }
};

const draftOf = (store: Store): StoreDraft => {
  const { name, kind, currency, taxFree, note, trip, discount, shipping } = store;
  const sum = (minor: Minor | null | undefined) =>
    minor === null || minor === undefined ? '' : toMain(minor, currency).toFixed(decimals(currency));
  return {
    name, kind, taxFree, note,
    trip: trip === 0 ? '' : sum(trip),
    discount: discount === 0 ? '' : String(Number((discount * 100).toFixed(4))),
    fee: sum(shipping?.fee),
    freeFrom: sum(shipping?.freeFrom),
  }; // prettier-ignore
};

const readStore = (draft: StoreDraft, held: Store, others: Store[]): Result<Store> => {
  const problems: Problem[] = [];
  const fault = (place: keyof StoreDraft, sentence: string) =>
    problems.push({ code: 'store', place, sentence });
  const money = (place: 'trip' | 'fee' | 'freeFrom'): Minor | null => {
    if (draft[place].trim() === '') return null;
    const sum = parseMoney(draft[place], held.currency);
    if (!sum.ok) fault(place, sum.problems[0]?.sentence ?? '');
    return sum.ok ? sum.value : null;
  };
  const name = draft.name.trim();
  if (name === '') fault('name', 'Give the store a name.');
  if (others.some((store) => nameKey(store.name) === nameKey(name)))
    fault('name', `There is a ${name} already.`);
  const percent = draft.discount.trim() === '' ? ok(0) : parseDecimal(draft.discount.replace('%', ''));
  if (!percent.ok || percent.value > 100) fault('discount', 'Write a share in percent, from 0 to 100.');
  const trip = money('trip') ?? 0;
  const fee = money('fee');
  const freeFrom = money('freeFrom');
  if (problems.length > 0 || !percent.ok) return { ok: false, problems };
  return ok({
    ...held,
    name,
    kind: draft.kind,
    taxFree: draft.taxFree,
    note: draft.note.trim(),
    trip,
    discount: percent.value / 100,
    shipping: fee === null ? null : { fee, freeFrom },
  });
};

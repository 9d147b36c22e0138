import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Moved, Scenario } from '@/core/compare';
import { shownPlan } from '@/core/plan';
import { usesStore } from '@/core/project';
import { faultOf } from '@/core/result';
import { parseMoney, symbol } from '@/core/units';
import { useTries } from '@/forms';
import type { PlannedProject } from '@/hooks';
import { Button, Choice, Select, TextField } from '@/ui';
import { readShare } from './scenario';

const WHATS = [
  { value: 'moves', label: 'Prices move' },
  { value: 'trip', label: 'A trip costs' },
  { value: 'shipping', label: 'Shipping costs' },
] as const;

/** Asks for something that may happen to prices. */
export const ScenarioForm = ({
  open: { project, book, plan },
  onTake,
  onClose,
}: {
  open: PlannedProject;
  onTake: (scenario: Scenario) => void;
  onClose: () => void;
}) => {
  const stores = Object.values(book.stores)
    .filter((store) => usesStore(project, store))
    .map(({ id, name }) => ({ value: id, label: name }));
  const items = [...new Set((shownPlan(plan)?.buys ?? []).map(({ item }) => item))];
  const things: { what: Moved; label: string }[] = [
    { what: { kind: 'wood' }, label: 'All wood and sheets' },
    { what: { kind: 'hardware' }, label: 'All hardware' },
    ...stores.map(({ value, label }) => ({
      what: { kind: 'store' as const, storeId: value },
      label: `All at ${label}`,
    })),
    ...items.map((item) => ({ what: { kind: 'item' as const, item }, label: item })),
  ];
  const [kind, setKind] = useState<(typeof WHATS)[number]['value']>('moves');
  const [thing, setThing] = useState('0');
  const [storeId, setStoreId] = useState(stores[0]?.value ?? '');
  const [text, setText] = useState('');
  const tries = useTries();
  const what = things[Number(thing)]?.what;
  const share = readShare(text);
  const sum = parseMoney(text, project.currency);
  const read = kind === 'moves' ? share : sum;
  const take = () => {
    tries.attempt();
    if (kind === 'moves') {
      if (share.ok && what) onTake({ kind, what, share: share.value });
    } else if (sum.ok) onTake({ kind, storeId, sum: sum.value });
  };
  return (
    <View style={styles.form} role="form" aria-label="What else may move">
      <Choice
        label="What may happen"
        value={kind}
        options={stores.length > 0 ? WHATS : WHATS.slice(0, 1)}
        onChange={setKind}
      />
      {kind === 'moves' ? (
        <Select
          label="Of"
          usual="0"
          value={thing}
          options={things.map(({ label }, index) => ({ value: String(index), label }))}
          onChange={setThing}
        />
      ) : (
        <Select
          label={kind === 'trip' ? 'To' : 'From'}
          usual={storeId}
          value={storeId}
          options={stores}
          onChange={setStoreId}
        />
      )}
      <TextField
        label={kind === 'moves' ? 'Percent dearer' : `Then costs, ${symbol(project.currency).trim()}`}
        help={kind === 'moves' ? 'Cheaper: with a minus, such as -15.' : null}
        value={text}
        onChange={setText}
        onSubmitEditing={take}
        error={tries.told(faultOf(read))}
      />
      <View style={styles.buttons}>
        <Button onPress={onClose}>Cancel</Button>
        <Button mode="contained" onPress={take}>
          See what it does
        </Button>
      </View>
    </View>
  );
};

const styles = StyleSheet.create({
  form: { padding: 16, gap: 12 },
  buttons: { flexDirection: 'row', gap: 8, justifyContent: 'flex-end' },
});

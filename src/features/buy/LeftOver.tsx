import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { leftoversOf } from '@/core/budget';
import type { Plan } from '@/core/plan';
import { formatMoney } from '@/core/units';
import { rackName } from '@/core/project';
import { newId, notify, type OpenProject } from '@/hooks';
import { SectionHeader, Button, Row, Text } from '@/ui';

/** What is left once everything is bought: one tap puts it on the rack, for the next plan to use. */
export const LeftOver = ({ open, plan }: { open: OpenProject; plan: Plan }) => {
  const { project, book, dispatch, undo } = open;
  const left = useMemo(() => leftoversOf(project, book, plan), [project, book, plan]);
  const isThere = Object.values(book.rack ?? {}).some(({ from }) => from === project.name);
  if (plan.total > 0 || project.purchases.length === 0 || left.length === 0 || isThere) return null;
  const sum = left.reduce((all, { quantity, worth }) => all + quantity * worth, 0);
  const put = (isValued: boolean) => {
    const entries = left.map(({ item, quantity, share, worth }) => ({
      id: newId(),
      item,
      quantity,
      ...(share === undefined ? {} : { share }),
      from: project.name,
      ...(isValued && worth > 0 ? { value: { sum: worth, currency: project.currency } } : {}),
    }));
    // Its own parts are cut already: it must not take from the rack what it has just put there.
    dispatch([
      { type: 'putOnRack', entries },
      { type: 'editProject', fields: { leavesRack: true } },
    ]);
    notify({ text: 'What is left is on the rack.', action: { label: 'Undo', run: undo } });
  };
  return (
    <View role="region" aria-label="Left over">
      <SectionHeader title="Left over" note="when it is all cut" />
      {left.map((one) => (
        <Row key={rackName(one)} style={styles.row}>
          <Text style={styles.grow}>{`${one.quantity} × ${rackName(one)}`}</Text>
          <Text tone="soft">{formatMoney(one.quantity * one.worth, project.currency)}</Text>
        </Row>
      ))}
      <View style={styles.put}>
        <Button mode="outlined" onPress={() => put(false)}>
          Put it on the rack
        </Button>
        <Button mode="text" onPress={() => put(true)}>
          {`With what it is worth, ${formatMoney(sum, project.currency)}`}
        </Button>
        <Text size="small" tone="soft">
          With its worth, the project that uses it bears its share; at the till it costs nothing more either
          way.
        </Text>
      </View>
    </View>
  );
};

const styles = StyleSheet.create({
  row: { paddingHorizontal: 16, paddingVertical: 10, flexDirection: 'row', gap: 12 },
  grow: { flex: 1 },
  put: { padding: 16, gap: 4, alignItems: 'flex-start' },
});

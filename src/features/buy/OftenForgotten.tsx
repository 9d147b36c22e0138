import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { faultOf } from '@/core/result';
import { forgottenIn, type Forgotten } from '@/core/compare';
import { parseMoney, symbol } from '@/core/units';
import type { Plan } from '@/core/plan';
import type { Command } from '@/core/project';
import { newId, notify, type OpenProject } from '@/hooks';
import { SectionHeader, Button, Row, TextField, Text } from '@/ui';

/** What people forget, asked for by rule: added, said to be there, or dismissed for good. */
export const OftenForgotten = ({ open, plan }: { open: OpenProject; plan: Plan | null }) => {
  const { project, book, dispatch, undo } = open;
  const [isOpen, setOpen] = useState(false);
  const missing = useMemo(() => forgottenIn(project, book, plan), [project, book, plan]);
  if (missing.length === 0) return null;
  const done = (command: Command, text: string) => {
    dispatch(command);
    notify({ text, action: { label: 'Undo', run: undo } });
  };
  const dismiss = ({ id, title }: Forgotten) =>
    done({ type: 'dismissReminder', reminderId: id }, `${title}: not asked for here again.`);
  const add = ({ wants, title }: Forgotten, price?: number) => {
    if (!wants) return;
    const extra = { ...wants.extra, id: newId(), ...(price === undefined ? {} : { price }) };
    done({ type: 'addExtra', extra }, `${title} is in the project.`);
  };
  const owned = (one: Forgotten) => {
    if (!one.wants) return;
    if (one.wants.isTool) {
      dispatch({ type: 'putTool', tool: { id: newId(), name: one.wants.extra.name } });
      notify({
        text: `${one.title}: with your tools, for every project.`,
        action: { label: 'Undo', run: undo },
      });
    } else
      done(
        { type: 'addExtra', extra: { ...one.wants.extra, id: newId(), isOwned: true } },
        `${one.title}: it is there, and costs nothing.`,
      );
  };
  const titles = missing.map(({ title }) => title).join(' · ');
  return (
    <View role="region" aria-label="Often forgotten">
      <SectionHeader
        title="Often forgotten"
        note={isOpen ? 'less' : titles}
        label={`Often forgotten: ${titles}`}
        onPress={() => setOpen(!isOpen)}
      />
      {isOpen
        ? missing.map((one) => (
            <ForgottenItem
              key={one.id}
              one={one}
              currency={project.currency}
              onAdd={(price) => add(one, price)}
              onOwned={() => owned(one)}
              onDismiss={() => dismiss(one)}
            />
          ))
        : null}
    </View>
  );
};

const ForgottenItem = ({
  one: { title, sentence, source, wants },
  currency,
  onAdd,
  onOwned,
  onDismiss,
}: {
  one: Forgotten;
  currency: string;
  onAdd: (price?: number) => void;
  onOwned: () => void;
  onDismiss: () => void;
}) => {
  const [isPricing, setPricing] = useState(false);
  const [price, setPrice] = useState('');
  const read = parseMoney(price, currency);
  const save = () => {
    if (read.ok) onAdd(read.value);
  };
  return (
    <Row style={styles.row}>
      <Text size="strong">{title}</Text>
      <Text size="small">{sentence}</Text>
      <Text size="small" tone="soft">
        {`By ${source}.`}
      </Text>
      {isPricing ? (
        <View style={styles.price}>
          <View style={styles.grow}>
            <TextField
              label={`What it costs, with tax, ${symbol(currency).trim()}`}
              value={price}
              onChange={setPrice}
              inputMode="decimal"
              onSubmitEditing={save}
              autoFocus
              error={price === '' ? null : faultOf(read)}
            />
          </View>
          <Button mode="contained" onPress={save} disabled={!read.ok}>
            Add
          </Button>
        </View>
      ) : (
        <View style={styles.buttons}>
          {wants ? (
            <>
              <Button
                mode="outlined"
                compact
                style={styles.add}
                accessibilityLabel={`Add: ${title}`}
                onPress={() => (wants.isPriced ? onAdd() : setPricing(true))}
              >
                {wants.isPriced && wants.extra.item !== '' ? `Add ${wants.extra.item}` : 'Add'}
              </Button>
              <Button mode="outlined" compact accessibilityLabel={`I have it: ${title}`} onPress={onOwned}>
                I have it
              </Button>
            </>
          ) : null}
          <Button compact accessibilityLabel={`Not here: ${title}`} onPress={onDismiss}>
            {wants ? 'Not needed' : 'Seen'}
          </Button>
        </View>
      )}
    </Row>
  );
};

const styles = StyleSheet.create({
  row: { paddingHorizontal: 16, paddingVertical: 10, gap: 4 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, marginTop: 4 },
  price: { flexDirection: 'row', gap: 8, alignItems: 'center', marginTop: 4 },
  grow: { flex: 1 },
  add: { minWidth: 64 },
});

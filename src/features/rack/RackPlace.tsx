import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActivityIndicator } from 'react-native-paper';
import { readQuickLine } from '@/core/io';
import { formatMoney, type LengthUnit } from '@/core/units';
import { rackName, type Item, type RackEntry } from '@/core/project';
import { fail, ok, type Result, faultOf } from '@/core/result';
import { newId, notify, useOpenBook, useProjectNames, useSettings } from '@/hooks';
import { useTries } from '@/forms';
import { ImportDialog } from '@/imports';
import { SectionHeader, Button, Columns, IconAction, Row, TextField, Text } from '@/ui';
import { Tools } from './Tools';

/** What is owned already, and need not be bought: offcuts, boards, sheets, hardware. */
export const RackPlace = () => {
  const open = useOpenBook();
  const { settings } = useSettings();
  if (!open) return <ActivityIndicator style={styles.wait} aria-label="Reading the rack" />;
  return <Rack {...open} unit={settings.unit} />;
};

/** `clear oil 40 %`, as Billet itself names what is left of a can. */
const OPENED = /^(.*?),?\s+(?:about\s+)?(\d{1,2})\s*%(?:\s+left)?$/;

/** Reads `3 2x4 31 1/2 treated`, `1 3/4 24 x 36 birch ply`, `40 deck screws` or `1 clear oil 40 %`. Problems: `quick`, `material`. */
const readEntry = (text: string, unit: LengthUnit): Result<Omit<RackEntry, 'id'>> => {
  const line = readQuickLine(text, unit);
  if (!line.ok) return line;
  const { part, tokens } = line.value;
  const name = tokens.find(({ role }) => role === 'name')?.text ?? '';
  const item: Item = {
    kind: part.kind,
    name: part.kind === 'hardware' ? name : '',
    section: part.section,
    length: part.length,
    width: part.width,
    // What stands behind its length is what it is made of, all of it.
    material: part.kind === 'hardware' ? '' : [...part.materials.slice(0, 1), name].join(' ').trim(),
  };
  if (part.kind !== 'hardware' && item.material === '')
    return fail('material', 'Of what wood? Write its material behind the length, such as treated.');
  const opened = part.kind === 'hardware' ? OPENED.exec(name) : null;
  const share = Number(opened?.[2]) / 100;
  if (opened && share > 0)
    return ok({ item: { ...item, name: opened[1] ?? name }, quantity: part.quantity, share, from: '' });
  return ok({ item, quantity: part.quantity, from: '' });
};

/** `1 kept for Trellis`. */
const keptWords = ({ keptFor }: RackEntry, names: Map<string, string>): string[] =>
  Object.entries(keptFor ?? {}).map(
    ([id, count]) => `${count} kept for ${names.get(id) ?? 'another project'}`,
  );

const Rack = ({
  book,
  dispatch,
  undo,
  unit,
}: NonNullable<ReturnType<typeof useOpenBook>> & { unit: LengthUnit }) => {
  const [text, setText] = useState('');
  const tries = useTries();
  const [isTaking, setTaking] = useState(false);
  const entries = Object.values(book.rack ?? {}).sort((a, b) => rackName(a).localeCompare(rackName(b)));
  const read = readEntry(text, unit);
  const add = () => {
    tries.attempt();
    if (!read.ok) return;
    dispatch({ type: 'putOnRack', entries: [{ ...read.value, id: newId() }] });
    setText('');
    tries.restart();
  };
  const remove = (entry: RackEntry) => {
    dispatch({ type: 'takeFromRack', ids: [entry.id] });
    notify({
      text: `${rackName(entry)} is off the rack.`,
      action: { label: 'Undo', run: undo },
    });
  };
  const names = useProjectNames();
  const free = (entry: RackEntry) => {
    dispatch(
      Object.keys(entry.keptFor ?? {}).map((projectId) => ({
        type: 'keepOnRack' as const,
        projectId,
        pieces: { [entry.id]: 0 },
      })),
    );
    notify({ text: `${rackName(entry)} is for any project.`, action: { label: 'Undo', run: undo } });
  };
  const example = unit === 'in' ? '3 2x4 31 1/2 treated' : '3 45x145 800 larch';
  return (
    <Columns>
      <View style={styles.head}>
        <Text size="headline">Rack</Text>
        <Text tone="soft">
          What is here already costs nothing more, and every plan uses it first where that is cheapest.
        </Text>
      </View>
      <View style={styles.add}>
        <View style={styles.grow}>
          <TextField
            label="Put on the rack: how many, section, length, material"
            placeholder={example}
            value={text}
            onChange={setText}
            onSubmitEditing={add}
            error={tries.told(faultOf(read))}
            help={
              read.ok
                ? `${read.value.quantity} × ${rackName(read.value)}`
                : `Such as ${example}; hardware: 40 deck screws; a can: 1 clear oil 40 %.`
            }
          />
        </View>
        <Button mode="outlined" onPress={add}>
          Add
        </Button>
      </View>
      <View style={styles.file}>
        <Button mode="text" compact onPress={() => setTaking(true)}>
          Put on the rack from a file
        </Button>
      </View>
      {isTaking ? <ImportDialog wanted="rack" onClose={() => setTaking(false)} /> : null}
      {entries.length === 0 ? (
        <Text style={styles.pad}>Nothing is on it yet.</Text>
      ) : (
        <SectionHeader
          title="On the rack"
          note={`${entries.length} ${entries.length === 1 ? 'thing' : 'things'}`}
        />
      )}
      <View role="list" aria-label="On the rack">
        {entries.map((entry) => (
          <View key={entry.id} role="listitem">
            <Row style={styles.row}>
              <View style={styles.line}>
                <Text size="strong" style={styles.count}>{`${entry.quantity} ×`}</Text>
                <View style={styles.grow}>
                  <Text>{rackName(entry)}</Text>
                  {entry.from === '' && !entry.value && !entry.keptFor ? null : (
                    <Text size="small" tone="soft">
                      {[
                        entry.from === '' ? '' : `left from ${entry.from}`,
                        entry.value
                          ? `worth ${formatMoney(entry.value.sum, entry.value.currency)}${entry.quantity > 1 ? ' each' : ''}`
                          : '',
                        ...keptWords(entry, names),
                      ]
                        .filter(Boolean)
                        .join(' · ')}
                    </Text>
                  )}
                </View>
                {entry.keptFor ? (
                  <Button mode="text" compact onPress={() => free(entry)}>
                    Free it
                  </Button>
                ) : null}
                <IconAction
                  icon="delete"
                  label={`Take ${rackName(entry)} off the rack`}
                  onPress={() => remove(entry)}
                />
              </View>
            </Row>
          </View>
        ))}
      </View>
      <Tools book={book} dispatch={dispatch} undo={undo} />
    </Columns>
  );
};

const styles = StyleSheet.create({
  file: { alignItems: 'flex-start', paddingHorizontal: 8 },
  wait: { marginTop: 80 },
  head: { padding: 16, gap: 4 },
  add: { flexDirection: 'row', gap: 10, alignItems: 'flex-start', paddingHorizontal: 16, paddingBottom: 16 },
  grow: { flex: 1 },
  pad: { paddingHorizontal: 16, paddingBottom: 16 },
  row: { paddingLeft: 16, paddingRight: 8, paddingVertical: 4 },
  line: { flexDirection: 'row', alignItems: 'center', gap: 12 },
  count: { minWidth: 40 },
});

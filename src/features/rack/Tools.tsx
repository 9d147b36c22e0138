import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ripsBoards, type Book, type BookCommand, type Tool } from '@/core/project';
import { newId, notify } from '@/hooks';
import { SectionHeader, Button, IconAction, Row, TextField, Text } from '@/ui';

/** Asked for first: they decide what a plan may do, or are often needed. */
const USUAL = ['Table saw', 'Mitre saw', 'Pocket-hole jig', 'Driver bits', 'Fine saw blade'];

/** Tools that are owned: they need not be bought, and decide what a plan may do. */
export const Tools = ({
  book,
  dispatch,
  undo,
}: {
  book: Book;
  dispatch: (command: BookCommand) => void;
  undo: () => void;
}) => {
  const [name, setName] = useState('');
  const tools = Object.values(book.tools ?? {}).sort((a, b) => a.name.localeCompare(b.name));
  const isOwned = (wanted: string) =>
    tools.some((tool) => tool.name.toLowerCase() === wanted.trim().toLowerCase());
  const add = (wanted: string) => {
    if (wanted.trim() === '' || isOwned(wanted)) return;
    dispatch({ type: 'putTool', tool: { id: newId(), name: wanted.trim() } });
    setName('');
  };
  const remove = ({ id, name: gone }: Tool) => {
    dispatch({ type: 'removeTool', toolId: id });
    notify({ text: `${gone} is no longer among your tools.`, action: { label: 'Undo', run: undo } });
  };
  const canRip = tools.some((tool) => ripsBoards(tool.name));
  return (
    <View role="region" aria-label="Tools">
      <SectionHeader title="Tools" note={tools.length === 0 ? 'none told' : String(tools.length)} />
      <Text size="small" tone="soft" style={styles.pad}>
        {canRip
          ? 'With a table saw, plans rip boards lengthwise, unless a project says otherwise.'
          : 'Without a table saw, no plan rips boards, unless a project says otherwise.'}
      </Text>
      <View role="list" aria-label="Tools">
        {tools.map((tool) => (
          <View key={tool.id} role="listitem">
            <Row style={styles.row}>
              <Text style={styles.grow}>{tool.name}</Text>
              <IconAction icon="delete" label={`${tool.name} is not owned`} onPress={() => remove(tool)} />
            </Row>
          </View>
        ))}
      </View>
      <View style={styles.usual}>
        {USUAL.filter((usual) => !isOwned(usual)).map((usual) => (
          <Button
            key={usual}
            mode="outlined"
            compact
            icon="add"
            accessibilityLabel={`I own: ${usual}`}
            onPress={() => add(usual)}
          >
            {usual}
          </Button>
        ))}
      </View>
      <View style={styles.add}>
        <View style={styles.grow}>
          <TextField
            label="Another tool that is owned"
            value={name}
            onChange={setName}
            onSubmitEditing={() => add(name)}
            error={name.trim() !== '' && isOwned(name) ? 'It is in the list above.' : null}
          />
        </View>
        <Button mode="outlined" accessibilityLabel="Add the tool" onPress={() => add(name)}>
          Add
        </Button>
      </View>
    </View>
  );
};

const styles = StyleSheet.create({
  pad: { paddingHorizontal: 16, paddingVertical: 8 },
  row: { paddingLeft: 16, paddingRight: 8, flexDirection: 'row', alignItems: 'center', gap: 12 },
  grow: { flex: 1 },
  usual: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, padding: 16, paddingBottom: 8 },
  add: { flexDirection: 'row', gap: 10, alignItems: 'flex-start', padding: 16 },
});

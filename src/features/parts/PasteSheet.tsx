import { StyleSheet, View } from 'react-native';
import { readPastedList, type PastedLine } from '@/core/io';
import {
  type Command,
  emptyGroup,
  FIRST_GROUP,
  numbered,
  type Group,
  type Part,
  type Project,
} from '@/core/project';
import { newId, notify, type OpenProject } from '@/hooks';
import { Button, Icon, Sheet, TextField, useColors, Text } from '@/ui';
import { forgetKept, useKept } from '@/forms';
import { readBack } from './words';

/** A list that was written elsewhere: every line is read back before anything is taken. */
export const PasteSheet = ({
  open: { project, dispatch },
  groupId,
  onClose,
}: {
  open: OpenProject;
  groupId: string | null;
  onClose: () => void;
}) => {
  const form = `pasted list ${project.id}`;
  const [text, setText] = useKept(form, 'text', '');
  const lines = readPastedList(text, project.unit);
  const good = lines.filter(({ reading }) => 'ok' in reading && reading.ok);
  const wrong = lines.filter(({ reading }) => 'ok' in reading && !reading.ok);
  const home = project.groups.find(({ id }) => id === groupId) ?? project.groups.at(-1);
  const take = () => {
    dispatch(
      byGroup(lines, project, home).flatMap(({ group, isNew, parts }): Command[] => [
        ...(isNew ? [{ type: 'addGroup' as const, group }] : []),
        { type: 'addParts', groupId: group.id, parts },
      ]),
      `add ${good.length} parts`,
    );
    notify({ text: `${good.length} parts added.` });
    forgetKept(form);
    onClose();
  };
  return (
    <Sheet
      title="Paste a list"
      onClose={onClose}
      foot={
        <>
          <Button
            onPress={() => {
              forgetKept(form);
              onClose();
            }}
          >
            Cancel
          </Button>
          <Button mode="contained" onPress={take} disabled={good.length === 0}>
            {wrong.length > 0 && good.length > 0
              ? `Add the ${good.length} understood`
              : `Add ${good.length} ${good.length === 1 ? 'part' : 'parts'}`}
          </Button>
        </>
      }
    >
      <TextField
        label="One part a line, as it was written"
        value={text}
        onChange={setText}
        multiline
        numberOfLines={7}
        placeholder={'3 pcs 2x6 @ 48"\n(2) 1x4 - 14 1/2\nPost: 4 x 31.5 in 4x4'}
        help={lines.length === 0 ? 'A line that ends with a colon names the group of those below it.' : null}
      />
      <View role="list" aria-label="How each line is read" style={styles.lines}>
        {lines.map((line, index) => (
          <ReadLine
            key={index}
            line={line}
            unit={project.unit}
            group={line.under ?? home?.name ?? FIRST_GROUP}
          />
        ))}
      </View>
    </Sheet>
  );
};

const ReadLine = ({
  line: { line, text, reading },
  unit,
  group,
}: {
  line: PastedLine;
  unit: 'in' | 'mm';
  group: string;
}) => {
  const colors = useColors();
  const isGood = 'heading' in reading || reading.ok;
  const words =
    'heading' in reading
      ? `Group ${reading.heading}`
      : reading.ok
        ? readBack(reading.value.part, unit, group)
        : `Line ${line}: ${reading.problems[0]?.sentence ?? ''}`;
  return (
    <View role="listitem" style={[styles.line, { borderColor: isGood ? colors.spruce : colors.red }]}>
      <Icon name={isGood ? 'check' : 'warning'} size={16} color={isGood ? colors.spruce : colors.red} />
      <View style={styles.words}>
        <Text size="small" tone="soft" numberOfLines={1}>
          {text}
        </Text>
        <Text size="small" tone={isGood ? 'ink' : 'bad'}>
          {words}
        </Text>
      </View>
    </View>
  );
};

/** The parts that were understood, by the group that their heading names; names are made to differ. */
const byGroup = (
  lines: PastedLine[],
  project: Project,
  home: Group | undefined,
): { group: Group; isNew: boolean; parts: Part[] }[] => {
  const found = new Map<string, { group: Group; isNew: boolean; parts: Part[]; names: Set<string> }>();
  for (const { reading, under } of lines) {
    const heading = under ?? home?.name ?? FIRST_GROUP;
    if ('ok' in reading && reading.ok) {
      const held = project.groups.find(({ name }) => name === heading);
      const group = found.get(heading) ?? {
        group: held ?? emptyGroup(newId(), newId(), heading),
        isNew: !held,
        parts: [],
        names: new Set(held?.options.flatMap(({ parts }) => parts.map(({ name }) => name)) ?? []),
      };
      found.set(heading, group);
      const { part } = reading.value;
      const name = numbered(part.name, (wanted) => group.names.has(wanted));
      group.names.add(name);
      group.parts.push({ ...part, id: newId(), name });
    }
  }
  return [...found.values()];
};

const styles = StyleSheet.create({
  lines: { gap: 6 },
  line: { flexDirection: 'row', gap: 8, borderLeftWidth: 3, paddingLeft: 8, paddingVertical: 2 },
  words: { flex: 1 },
});

import { useMemo, useRef, useState } from 'react';
import { StyleSheet, TextInput, View } from 'react-native';
import { readQuickLines } from '@/core/io';
import { emptyGroup, FIRST_GROUP, type Project } from '@/core/project';
import { newId, type OpenProject } from '@/hooks';
import { ActionMenu, Button, FONTS, TABULAR, TOUCH, useColors, Text } from '@/ui';
import { freeName, namesIn } from './freeName';
import { measureReader } from './reading';
import { readBack } from './words';

interface Props {
  open: OpenProject;
  groupId: string | null;
  setGroupId: (id: string) => void;
}

/** One line that reads `4 2x4 31 1/2 post`, shows how it understands while one types, and adds the part. */
export const QuickLine = ({ open: { project, isNewer, dispatch }, groupId, setGroupId }: Props) => {
  const colors = useColors();
  const [text, setText] = useState('');
  const [hasFocus, setFocus] = useState(false);
  const input = useRef<TextInput>(null);
  const group = project.groups.find(({ id }) => id === groupId) ?? project.groups.at(-1) ?? null;
  const reading = useMemo(() => {
    const read = measureReader(project, group?.id ?? null);
    return readQuickLines(text, project.unit, (formula) => {
      const length = read(formula);
      return length.ok && length.value.ticks > 0 ? length.value.ticks : null;
    });
  }, [text, project, group]);
  const isBlank = text.trim() === '';
  const names = namesIn(project, group?.id);
  const isTaken = reading.ok && reading.value.some(({ part }) => names.has(part.name));
  const add = () => {
    if (!reading.ok) return;
    const home = group ?? emptyGroup(newId(), newId(), FIRST_GROUP);
    const parts = reading.value.map(({ part }) => {
      const name = freeName(names, part.name);
      names.add(name);
      return { ...part, id: newId(), name };
    });
    dispatch([
      ...(group ? [] : [{ type: 'addGroup' as const, group: home }]),
      ...parts.map((part) => ({ type: 'addPart' as const, groupId: home.id, part })),
    ]);
    // It was refused, and told: what is typed stays.
    if (isNewer) return;
    setText('');
    input.current?.focus();
  };
  return (
    <View style={styles.quick}>
      <View
        // A new version of Billet waits for what is half typed here.
        {...({ dataSet: { halfTyped: text === '' ? undefined : 'yes' } } as object)}
        style={[
          styles.frame,
          { borderColor: hasFocus ? colors.spruce : colors.ink, backgroundColor: colors.card },
          hasFocus && styles.focused,
        ]}
      >
        <TextInput
          ref={input}
          value={text}
          onChangeText={setText}
          onFocus={() => setFocus(true)}
          onBlur={() => setFocus(false)}
          onSubmitEditing={add}
          // The next one is typed right after: on the web the field would lose the focus a moment later.
          submitBehavior="submit"
          blurOnSubmit={false}
          placeholder={project.unit === 'in' ? '4 2x4 31 1/2 post' : '4 45x145 800 post'}
          placeholderTextColor={colors.soft}
          aria-label="Add a part: how many, section, length, name"
          autoCapitalize="none"
          autoCorrect={false}
          style={[styles.input, TABULAR, { color: colors.ink }]}
        />
        <Button onPress={add} disabled={!reading.ok} accessibilityLabel="Add part">
          Add
        </Button>
      </View>
      <View style={styles.tokens} aria-live="polite" testID="read-back">
        {reading.ok ? (
          <>
            {reading.value.map(({ part, tokens }, at) => (
              <View key={at} style={styles.read}>
                {tokens.map(({ role, text: word }, index) => (
                  <View
                    key={index}
                    style={[styles.token, role !== 'name' && { backgroundColor: colors.pale }]}
                  >
                    <Text size="small">{word}</Text>
                  </View>
                ))}
                <Text size="small" tone="soft" style={styles.back}>
                  {readBack(part, project.unit, group?.name ?? FIRST_GROUP)}
                  {isTaken && names.has(part.name) ? ' · there is one of that name; this gets a number' : ''}
                </Text>
              </View>
            ))}
          </>
        ) : (
          <Text size="small" tone={isBlank ? 'soft' : 'bad'}>
            {isBlank ? unitWords(project.unit) : reading.problems[0]?.sentence}
          </Text>
        )}
      </View>
      {project.groups.length > 1 ? (
        <GroupPicker project={project} groupId={group?.id ?? ''} onPick={setGroupId} />
      ) : null}
    </View>
  );
};

/** What can be written, in the unit of the project. */
const unitWords = (unit: Project['unit']): string =>
  unit === 'in'
    ? 'How many, section, length, name. Sheets: 2 3/4 24 x 36 shelf. Hardware: 48 deck screws.'
    : 'How many, section, length, name. Sheets: 2 18 600 x 400 shelf. Hardware: 48 deck screws.';

const GroupPicker = ({
  project,
  groupId,
  onPick,
}: {
  project: Project;
  groupId: string;
  onPick: (id: string) => void;
}) => {
  const name = project.groups.find(({ id }) => id === groupId)?.name ?? '';
  return (
    <ActionMenu
      label="Group for new parts"
      actions={project.groups.map((group) => ({ title: group.name, run: () => onPick(group.id) }))}
      anchor={(show) => (
        <Button
          compact
          onPress={show}
          style={styles.picker}
          accessibilityLabel={`Group for new parts: ${name}`}
        >
          in {name} · change
        </Button>
      )}
    />
  );
};

const styles = StyleSheet.create({
  quick: { paddingHorizontal: 16, paddingTop: 12, paddingBottom: 8 },
  frame: { flexDirection: 'row', alignItems: 'center', borderWidth: 2, margin: 1, minHeight: 52 },
  // The frame shows the focus for the line in it.
  focused: { borderWidth: 3, margin: 0 },
  input: {
    flex: 1,
    minWidth: 0,
    fontSize: 19,
    fontFamily: FONTS.regular,
    paddingHorizontal: 12,
    minHeight: TOUCH,
  },
  tokens: { flexDirection: 'row', flexWrap: 'wrap', gap: 4, marginTop: 6, minHeight: 24 },
  read: { flexDirection: 'row', flexWrap: 'wrap', gap: 4, width: '100%' },
  token: { paddingHorizontal: 6 },
  back: { flexBasis: '100%' },
  picker: { alignSelf: 'flex-start', marginLeft: -8 },
});

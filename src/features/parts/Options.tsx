import { StyleSheet, View } from 'react-native';
import {
  anotherWay,
  choiceOf,
  chosenOption,
  ownVariables,
  numbered,
  renewedIds,
  type Group,
  type Option,
  type Command,
} from '@/core/project';
import { fail, ok, type Result } from '@/core/result';
import { newId, notify, type OpenProject } from '@/hooks';
import { Button, Choice, ReadField, Text } from '@/ui';

/** The ways to make a group, one of them chosen: slats or one sheet, pickets or boards. Each has parts of its own. */
export const Options = ({
  open: { project, dispatch, undo },
  group,
}: {
  open: OpenProject;
  group: Group;
}) => {
  const { id: groupId, options } = group;
  const chosen = chosenOption(group);
  if (!chosen) return null;
  const another = () => {
    const name = numbered('Another way', (taken) => options.some((option) => option.name === taken));
    const { option, variables } = anotherWay(project, group, chosen, name, renewedIds(newId));
    dispatch([
      ...variables.map((variable): Command => ({ type: 'addVariable', variable })),
      {
        type: 'choose',
        name,
        changes: [
          { type: 'putOption', groupId, option },
          { type: 'chooseOption', groupId, optionId: option.id },
        ],
      },
      // Where the columns were picked, both are among them: whichever is chosen, the other stands beside it.
      ...(project.alternatives ? [chosen, option].map((one) => asColumn(group, one)) : []),
    ]);
    notify({ text: `${name} begins as a copy of ${chosen.name}. Change its parts; Compare shows both.` });
  };
  const remove = (optionId: string, name: string) => {
    const gone = options.find(({ id }) => id === optionId);
    dispatch([
      { type: 'removeOption', groupId, optionId },
      // Measures that it alone had go with it.
      ...(gone ? ownVariables(project, group, gone) : []).map(({ id }): Command => ({
        type: 'removeVariable',
        variableId: id,
      })),
    ]);
    notify({ text: `${name} is deleted.`, action: { label: 'Undo', run: undo } });
  };
  const readName = (text: string): Result<string> =>
    text.trim() === '' ? fail('name', 'Give this way a name, such as slats.') : ok(text.trim());
  const others = options.filter(({ id }) => id !== chosen.id);
  return (
    <View style={styles.options}>
      {others.length > 0 ? (
        <>
          <Choice
            label="The way it is made"
            value={chosen.id}
            options={options.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={(optionId) => dispatch({ type: 'chooseOption', groupId, optionId })}
          />
          <ReadField
            label="Name of this way"
            text={chosen.name}
            read={readName}
            onRead={(name) => dispatch({ type: 'renameOption', groupId, optionId: chosen.id, name })}
          />
        </>
      ) : (
        <Text size="small" tone="soft">
          Slats or a sheet, pickets or boards: make it another way beside this one, and compare the two.
        </Text>
      )}
      <View style={styles.buttons}>
        <Button mode="outlined" icon="add" onPress={another}>
          Make it another way
        </Button>
        {others.map(({ id, name }) => (
          <Button key={id} mode="text" onPress={() => remove(id, name)}>
            {`Delete ${name}`}
          </Button>
        ))}
      </View>
    </View>
  );
};

/** An option as a column of the comparison. */
const asColumn = (group: Group, option: Option): Command => ({
  type: 'addAlternative',
  alternative: { ...choiceOf(group, option), name: `${group.name}: ${option.name}`.slice(0, 200) },
  proposed: [],
  most: Infinity,
});

const styles = StyleSheet.create({
  options: { gap: 12 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
});

import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { readParts } from '@/core/io';
import type { Group } from '@/core/project';
import type { Problem, Result } from '@/core/result';
import { newId, notify, pickFile, type OpenProject } from '@/hooks';
import { Button, Faults, Sheet, Text } from '@/ui';

/** Asks for a file at once, and reads it. */
const usePicked = <T,>(
  accept: string,
  onNone: () => void,
  read: (text: string, name: string) => Result<T>,
): { name: string; result: Result<T> } | null => {
  const [picked, setPicked] = useState<{ name: string; result: Result<T> } | null>(null);
  useEffect(() => {
    void pickFile(accept).then((file) => {
      if (file) setPicked({ name: file.name, result: read(file.text, file.name) });
      else onNone();
    });
    // The file is asked for once, when this opens.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  return picked;
};

const Wrong = ({ name, problems, onClose }: { name: string; problems: Problem[]; onClose: () => void }) => (
  <Sheet title="Nothing was taken" onClose={onClose} foot={<Button onPress={onClose}>Close</Button>}>
    <Faults file={name} problems={problems} />
  </Sheet>
);

/** Reads parts.csv, shows what is in it, and takes it in place of the parts or beside them. */
export const ImportParts = ({
  open: { project, dispatch },
  onClose,
}: {
  open: OpenProject;
  onClose: () => void;
}) => {
  const picked = usePicked('.csv,text/csv', onClose, (text, name) =>
    readParts(text, name, project.unit, newId),
  );
  if (!picked) return null;
  if (!picked.result.ok)
    return <Wrong name={picked.name} problems={picked.result.problems} onClose={onClose} />;
  const groups = picked.result.value;
  const take = (taken: Group[]) => {
    dispatch({ type: 'importParts', groups: taken });
    notify({ text: `Parts taken from ${picked.name}.` });
    onClose();
  };
  const count = groups.reduce((sum, group) => sum + (group.options[0]?.parts.length ?? 0), 0);
  return (
    <Sheet
      title="Import parts"
      onClose={onClose}
      foot={
        <>
          {project.groups.length > 0 ? (
            <Button onPress={() => take(beside(project.groups, groups))}>Add to the parts</Button>
          ) : null}
          <Button mode="contained" onPress={() => take(groups)}>
            {project.groups.length > 0 ? 'Replace the parts' : 'Take the parts'}
          </Button>
        </>
      }
    >
      <Text>
        {picked.name} has {count} {count === 1 ? 'part' : 'parts'}:
      </Text>
      {groups.map((group) => (
        <View key={group.id}>
          <Text size="strong">{group.name}</Text>
          <Text tone="soft">
            {group.options[0]?.parts.map(({ quantity, name }) => `${quantity} × ${name}`).join(', ')}
          </Text>
        </View>
      ))}
    </Sheet>
  );
};

/** The groups there are, and the parts of new ones: in the group of the same name, else behind them. */
const beside = (held: Group[], added: Group[]): Group[] => [
  ...held.map((group) => {
    const same = added.find(({ name }) => name === group.name)?.options[0]?.parts ?? [];
    return {
      ...group,
      options: group.options.map((option) =>
        option.id === group.chosen ? { ...option, parts: [...option.parts, ...same] } : option,
      ),
    };
  }),
  ...added.filter(({ name }) => !held.some((group) => group.name === name)),
];

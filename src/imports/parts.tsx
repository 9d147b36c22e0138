import { View } from 'react-native';
import { detectSheet, readParts } from '@/core/io';
import type { Group } from '@/core/project';
import { map } from '@/core/result';
import { newId, notify } from '@/hooks';
import { Text } from '@/ui';
import type { ImportAction, ImportFormat, ImportPreview } from './types';

/** parts.csv: shown by group, and taken in place of the parts or beside them. */
export const partsFormat: ImportFormat = {
  id: 'parts',
  title: 'Import parts',
  hint: () =>
    'A CSV file with a line for each part: its name, how many, and its size. Nothing is taken before it is shown.',
  accept: '.csv,text/csv',
  detect: ({ text }) => detectSheet(text) === 'parts',
  elsewhere: 'This is a list of parts. Open the project that it is for, and import it there.',
  read: async ({ name, text }, { open, prices }) =>
    map(readParts(text, name, open?.project.unit ?? prices.unit, newId), (groups) => previewOf(name, groups)),
};

const previewOf = (name: string, groups: Group[]): ImportPreview => {
  const count = groups.reduce((sum, group) => sum + (group.options[0]?.parts.length ?? 0), 0);
  return {
    title: 'Import parts',
    body: () => (
      <>
        <Text>
          {name} has {count} {count === 1 ? 'part' : 'parts'}:
        </Text>
        {groups.map((group) => (
          <View key={group.id}>
            <Text size="strong">{group.name}</Text>
            <Text tone="soft">
              {group.options[0]?.parts.map(({ quantity, name: part }) => `${quantity} × ${part}`).join(', ')}
            </Text>
          </View>
        ))}
      </>
    ),
    actions: ({ open }, { close }): ImportAction[] => {
      if (!open) return [];
      const held = open.project.groups;
      const take = (taken: Group[]) => {
        open.dispatch({ type: 'importParts', groups: taken });
        notify({ text: `Parts taken from ${name}.`, action: { label: 'Undo', run: open.undo } });
        close();
      };
      if (held.length === 0) return [{ label: 'Take the parts', isMain: true, run: () => take(groups) }];
      return [
        { label: 'Add to the parts', run: () => take(beside(held, groups)) },
        { label: 'Replace the parts', isMain: true, run: () => take(groups) },
      ];
    },
  };
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

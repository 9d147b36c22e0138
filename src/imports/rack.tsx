import { View } from 'react-native';
import { detectSheet, readOwned, type OwnedRow } from '@/core/io';
import { rackName, type RackEntry } from '@/core/project';
import { map } from '@/core/result';
import { newId, notify } from '@/hooks';
import { Row, Text } from '@/ui';
import type { ImportFormat, ImportPreview } from './types';

/** owned.csv: what is here already, put on the rack beside what lies there. */
export const rackFormat: ImportFormat = {
  id: 'rack',
  title: 'On the rack from a file',
  hint: ({ prices: { unit } }) =>
    `A CSV file with a line for each thing that is here: section, length, material and how many; of hardware its name. Bare lengths are ${unit === 'in' ? 'inches' : 'millimetres'}. Nothing is taken before it is shown.`,
  accept: '.csv,text/csv',
  detect: ({ text }) => detectSheet(text) === 'owned',
  read: async ({ name, text }, { prices: { unit } }) =>
    map(readOwned(text, name, unit), (rows) => previewOf(name, rows)),
};

const previewOf = (name: string, rows: OwnedRow[]): ImportPreview => {
  const entries = rows.map(({ item, quantity }): RackEntry => ({ id: newId(), item, quantity, from: '' }));
  const pieces = rows.reduce((sum, { quantity }) => sum + quantity, 0);
  return {
    title: `On the rack from ${name}`,
    body: () => (
      <View role="list" aria-label="What is put on the rack">
        {entries.map((entry) => (
          <Row key={entry.id}>
            <Text>{`${entry.quantity} × ${rackName(entry)}`}</Text>
          </Row>
        ))}
      </View>
    ),
    actions: ({ prices: { dispatch, undo } }, { close }) => [
      {
        label: `Put ${pieces} on the rack`,
        isMain: true,
        isDisabled: pieces === 0,
        run: () => {
          dispatch({ type: 'putOnRack', entries });
          notify({ text: `${pieces} put on the rack.`, action: { label: 'Undo', run: undo } });
          close();
        },
      },
    ],
  };
};

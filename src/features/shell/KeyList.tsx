import { StyleSheet, View } from 'react-native';
import { Sheet, Text } from '@/ui';
import { PLACES } from './places';

const KEYS: [keys: string, what: string][] = [
  ['Ctrl K', 'Find a part, a price, a place, a project, or what to do'],
  ['?', 'These keys'],
  ['Esc', 'Close what is open'],
  ['Ctrl Z', 'Undo'],
  ['Ctrl Shift Z, Ctrl Y', 'Redo'],
  ['Tab, Shift Tab', 'To the next thing that can be pressed, and back'],
  ['Enter', 'Press it; in a line for parts, add the part'],
  ['Space', 'At the saw: the cut is done'],
  ['Space, then arrows', 'On the handle of a part: move it'],
];

/** The keys that work everywhere, and the digits of the places. */
export const KeyList = ({ onClose }: { onClose: () => void }) => {
  const places = PLACES.filter(({ scope }) => scope === 'project');
  const rows = [
    ...KEYS.slice(0, 3),
    ...places.map(({ name }, index) => [String(index + 1), `In a project: ${name}`] as [string, string]),
    ...KEYS.slice(3),
  ];
  return (
    <Sheet title="Keys" onClose={onClose}>
      {rows.map(([keys, what]) => (
        <View key={keys} style={styles.row}>
          <Text size="strong" style={styles.keys}>
            {keys}
          </Text>
          <Text style={styles.what}>{what}</Text>
        </View>
      ))}
    </Sheet>
  );
};

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: 12 },
  keys: { width: 150 },
  what: { flex: 1 },
});

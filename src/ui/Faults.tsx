import { StyleSheet, View } from 'react-native';
import type { Problem } from '@/core/result';
import { Text } from './Text';
import { useColors } from './theme';

/** Every fault of a file, each with its place. */
export const Faults = ({ file, problems }: { file: string; problems: Problem[] }) => {
  const colors = useColors();
  return (
    <View style={styles.faults}>
      <Text>
        {file} has {problems.length} {problems.length === 1 ? 'fault' : 'faults'}. Mend{' '}
        {problems.length === 1 ? 'it' : 'them'} in the file and open it again; nothing here was changed.
      </Text>
      <View role="list" style={styles.list}>
        {problems.map(({ place, sentence }, index) => (
          <View key={index} role="listitem" style={[styles.fault, { borderColor: colors.red }]}>
            <Text size="small" tone="bad">
              {place}
            </Text>
            <Text>{sentence}</Text>
          </View>
        ))}
      </View>
    </View>
  );
};

const styles = StyleSheet.create({
  faults: { gap: 12 },
  list: { gap: 8 },
  fault: { borderLeftWidth: 3, paddingLeft: 10 },
});

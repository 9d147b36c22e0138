import { StyleSheet, View } from 'react-native';
import type { Problem } from '@/core/result';
import { Words } from './Words';
import { useInk } from './theme';

/** Every fault of a file, each with its place. */
export const Faults = ({ file, problems }: { file: string; problems: Problem[] }) => {
  const ink = useInk();
  return (
    <View style={styles.faults}>
      <Words>
        {file} has {problems.length} {problems.length === 1 ? 'fault' : 'faults'}. Mend{' '}
        {problems.length === 1 ? 'it' : 'them'} in the file and open it again; nothing here was changed.
      </Words>
      <View role="list" style={styles.list}>
        {problems.map(({ place, sentence }, index) => (
          <View key={index} role="listitem" style={[styles.fault, { borderColor: ink.red }]}>
            <Words size="small" tone="bad">
              {place}
            </Words>
            <Words>{sentence}</Words>
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

import { View } from 'react-native';
import type { Layout } from '@/core/plan';
import type { Project } from '@/core/project';
import { handWorkOf } from '@/core/sawing';
import { Text } from '@/ui';

/** What is done by hand to the shaped pieces of a board; nothing where none is shaped. */
export const HandWork = ({ layout, project }: { layout: Layout; project: Project }) => {
  const work = handWorkOf(layout, project);
  if (work.length === 0) return null;
  return (
    <View role="note" aria-label="Then by hand">
      {work.map(({ partId, name, words, pairs }) => (
        <Text key={partId}>
          {`Then by hand, ${name}: ${words}.${pairs > 0 ? ' Two lie head to tail: mark both, and cut between the lines first.' : ''}`}
        </Text>
      ))}
    </View>
  );
};

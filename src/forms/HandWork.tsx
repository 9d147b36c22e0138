import { View } from 'react-native';
import type { Layout } from '@/core/plan';
import type { Project } from '@/core/project';
import { handWorkOf, toFitOn } from '@/core/sawing';
import { formatLength } from '@/core/units';
import { Text } from '@/ui';

/** What is done by hand to the pieces of a board that are shaped or cut to fit; nothing where none is. */
export const HandWork = ({ layout, project }: { layout: Layout; project: Project }) => {
  const work = handWorkOf(layout, project);
  const toFit = toFitOn(layout, project);
  if (work.length + toFit.length === 0) return null;
  return (
    <View role="note" aria-label="Then by hand">
      {toFit.map(({ partId, name, over }) => (
        <Text key={`fit ${partId}`}>
          {`Cut to fit, ${name}: it is sawn ${formatLength(over, project.unit)} too long, until it is measured on the piece.`}
        </Text>
      ))}
      {work.map(({ partId, name, words, pairs }) => (
        <Text key={partId}>
          {`Then by hand, ${name}: ${words}.${pairs > 0 ? ' Two lie head to tail: mark both, and cut between the lines first.' : ''}`}
        </Text>
      ))}
    </View>
  );
};

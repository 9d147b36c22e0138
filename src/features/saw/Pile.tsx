import { StyleSheet, View } from 'react-native';
import { finishedCount } from '@/core/plan';
import { withLetter } from '@/core/project';
import { piecesFree, type SawBoard } from '@/core/sawing';
import { Row, SectionHeader, Text } from '@/ui';

interface Props {
  boards: SawBoard[];
  doneOf: (board: SawBoard) => number;
  letters: Record<string, string>;
}

interface Heap {
  name: string;
  cut: number;
  all: number;
}

/** The parts as they pile up: how many of each are cut, and how many there will be. */
export const Pile = ({ boards, doneOf, letters }: Props) => {
  const heaps = new Map<string, Heap>();
  for (const board of boards) {
    const free = piecesFree(board.sequence, doneOf(board));
    board.layout.pieces.forEach((piece, index) => {
      const { partId, part, group } = piece;
      const number = finishedCount(piece);
      const heap = heaps.get(partId) ?? {
        name: withLetter(letters, partId, `${part}, ${group}`),
        cut: 0,
        all: 0,
      };
      heap.all += number;
      // A board that is used whole is there as it was bought.
      if (free.has(index)) heap.cut += number;
      heaps.set(partId, heap);
    });
  }
  const all = [...heaps.entries()];
  const left = all.reduce((sum, [, { cut, all: wanted }]) => sum + wanted - cut, 0);
  return (
    <View role="region" aria-label="The pile">
      <SectionHeader title="The pile" note={left === 0 ? 'all cut' : `${left} to cut`} />
      {all.map(([id, { name, cut, all: wanted }]) => (
        <Row key={id} style={styles.row}>
          <Text style={styles.grow}>{name}</Text>
          <Text tone={cut === wanted ? 'good' : 'soft'}>{`${cut} of ${wanted}`}</Text>
        </Row>
      ))}
    </View>
  );
};

const styles = StyleSheet.create({
  row: { paddingHorizontal: 16, paddingVertical: 8, flexDirection: 'row', gap: 12 },
  grow: { flex: 1 },
});

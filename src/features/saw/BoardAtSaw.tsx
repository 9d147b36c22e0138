import { StyleSheet, View } from 'react-native';
import type { OwnMaterials } from '@/core/lumber';
import type { Project } from '@/core/project';
import { hazardsOf, piecesFree, type SawBoard } from '@/core/sawing';
import { DrawnLayout, drawnOf, HandWork, sourceWords } from '@/forms';
import { Button, Text } from '@/ui';
import { Hazards } from './Hazards';
import { cutWords, stockWords } from './words';

interface Props {
  board: SawBoard;
  /** Which of how many boards it is. */
  place: number;
  of: number;
  done: number;
  project: Project;
  own: OwnMaterials | undefined;
  letters: Record<string, string>;
  /** Null: there is nothing to do so. */
  onCut: (() => void) | null;
  onUndo: (() => void) | null;
  onNext: (() => void) | null;
}

/** One board at the saw: drawn to scale with its next cut, and that cut in large words. */
export const BoardAtSaw = ({
  board,
  place,
  of,
  done,
  project,
  own,
  letters,
  onCut,
  onUndo,
  onNext,
}: Props) => {
  const { unit } = project;
  const { layout, sequence } = board;
  const { cuts } = sequence;
  const free = piecesFree(sequence, done);
  const drawn = drawnOf(layout, letters, unit);
  const pieces = drawn.pieces.map((piece, index) => ({ ...piece, isDone: done > 0 && free.has(index) }));
  const words = cutWords(board, done, unit, (index) => pieces[index]?.name ?? '');
  return (
    <View style={styles.board} role="region" aria-label="At the saw">
      <View>
        <Text size="title">{stockWords(layout, unit)}</Text>
        <Text size="small" tone="soft">
          {`${place} of ${of} · drawing ${board.number} · ${sourceWords(layout, project)}`}
        </Text>
      </View>
      <DrawnLayout
        layout={layout}
        drawn={drawn}
        own={own}
        longest={layout.length}
        pieces={pieces}
        cut={cuts[done]?.line ?? null}
      />
      {words ? (
        <View role="status">
          <Text size="small" tone="soft">{`Cut ${done + 1} of ${cuts.length}`}</Text>
          <Text size="headline">{words.title}</Text>
          <Text>{words.measure}</Text>
          <Text tone="soft">{words.leaves}</Text>
          <Hazards hazards={hazardsOf(board, done)} />
        </View>
      ) : (
        <View role="status">
          <Text size="headline">{cuts.length === 0 ? 'Nothing to saw on it' : 'This one is sawn'}</Text>
          <Text tone="soft">
            {cuts.length === 0 ? 'It is used whole.' : 'Mark its pieces before they are moved.'}
          </Text>
          <HandWork layout={layout} project={project} />
        </View>
      )}
      <View style={styles.buttons}>
        {onCut ? (
          <Button mode="contained" onPress={onCut} style={styles.cut} contentStyle={styles.large}>
            Cut
          </Button>
        ) : onNext ? (
          <Button mode="contained" onPress={onNext} style={styles.cut} contentStyle={styles.large}>
            Next board
          </Button>
        ) : null}
        <Button mode="outlined" onPress={() => onUndo?.()} disabled={!onUndo} contentStyle={styles.large}>
          Not cut yet
        </Button>
      </View>
    </View>
  );
};

const styles = StyleSheet.create({
  board: { padding: 16, gap: 12 },
  buttons: { flexDirection: 'row', gap: 10 },
  cut: { flex: 1 },
  large: { minHeight: 64 },
});

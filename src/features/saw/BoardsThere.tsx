import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { sidesOf } from '@/core/plan';
import { withLetter } from '@/core/project';
import { boardThere, piecesFree, type SawBoard } from '@/core/sawing';
import type { Ticks } from '@/core/units';
import type { OpenProject } from '@/hooks';
import { Button, Text } from '@/ui';
import { MeasureBoard } from './MeasureBoard';
import { SpoiledPiece } from './SpoiledPiece';
import { stretchWords } from './marks';

interface Props {
  board: SawBoard;
  done: number;
  newest: OpenProject;
  letters: Record<string, string>;
  onSpoil: (piece: number, left: Ticks) => void;
  /** Something was measured, by its id, or cut wrong: null. The plan is made anew. */
  onChange: (measuredId: string | null) => void;
}

/** The board as it really is: measured and marked before it is cut, and what was cut wrong of it. */
export const BoardsThere = ({ board, done, newest, letters, onSpoil, onChange }: Props) => {
  const { project, book, dispatch } = newest;
  const [asked, setAsked] = useState<'measure' | 'spoiled' | null>(null);
  const there = done === 0 ? boardThere(project, book, board.layout) : null;
  const free = piecesFree(board.sequence, done);
  const pieces = board.layout.sawn
    ? board.layout.pieces.flatMap(({ partId, part, outline }, index) =>
        free.has(index)
          ? [{ index, name: withLetter(letters, partId, part), length: sidesOf(outline).along }]
          : [],
      )
    : [];
  const close = () => setAsked(null);
  const words = there && stretchWords(there, project.unit);
  return (
    <View style={styles.place}>
      {words ? <Text>{words}</Text> : null}
      {asked === 'measure' && there ? (
        <MeasureBoard
          there={there}
          unit={project.unit}
          onMeasured={(measured) => {
            onChange(measured.id);
            dispatch({ type: 'measureBoard', board: measured });
            close();
          }}
          onForget={(boardId) => {
            onChange(null);
            dispatch({ type: 'forgetBoard', boardId });
            close();
          }}
          onClose={close}
        />
      ) : asked === 'spoiled' ? (
        <SpoiledPiece
          pieces={pieces}
          unit={project.unit}
          onSpoil={(piece, left) => {
            onChange(null);
            onSpoil(piece, left);
          }}
          onDone={close}
        />
      ) : (
        <View style={styles.buttons}>
          {there && !there.isBegun ? (
            <Button mode="outlined" onPress={() => setAsked('measure')}>
              {there.measured ? 'Measure it again' : 'Measure this board'}
            </Button>
          ) : null}
          {pieces.length > 0 ? (
            <Button mode="outlined" onPress={() => setAsked('spoiled')}>
              A piece was cut wrong
            </Button>
          ) : null}
          {!there && !board.layout.sawn && board.layout.kind === 'board' ? (
            <Text size="small" tone="soft">
              Once it is ticked as bought, it can be measured here, with its knots and splits.
            </Text>
          ) : null}
        </View>
      )}
    </View>
  );
};

const styles = StyleSheet.create({
  place: { paddingHorizontal: 16, paddingBottom: 16, gap: 10 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 10 },
});

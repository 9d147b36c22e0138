import { StyleSheet, View } from 'react-native';
import { isFibreboard, materialOf, woodTone, type OwnMaterials } from '@/core/lumber';
import { sidesOf } from '@/core/plan';
import { piecesFree, type SawBoard } from '@/core/sawing';
import { formatLength, formatStockLength, type LengthUnit } from '@/core/units';
import { Button, LayoutDrawing, Text, useColors } from '@/ui';
import { cutWords } from './words';

interface Props {
  board: SawBoard;
  /** Which of how many boards it is. */
  place: number;
  of: number;
  done: number;
  unit: LengthUnit;
  own: OwnMaterials | undefined;
  letters: Record<string, string>;
  /** Null: there is nothing to do so. */
  onCut: (() => void) | null;
  onUndo: (() => void) | null;
  onNext: (() => void) | null;
}

/** One board at the saw: drawn to scale with its next cut, and that cut in large words. */
export const BoardAtSaw = ({ board, place, of, done, unit, own, letters, onCut, onUndo, onNext }: Props) => {
  const colors = useColors();
  const { layout, sequence } = board;
  const { cuts } = sequence;
  const free = piecesFree(sequence, done);
  const nameOf = (index: number) => {
    const piece = layout.pieces[index];
    return piece ? `${letters[piece.partId] ?? ''} ${piece.part}`.trim() : '';
  };
  const pieces = layout.pieces.map((piece, index) => {
    const { along, across } = sidesOf(piece.outline);
    const isWhole = layout.kind === 'board' && across >= layout.width;
    return {
      key: `${index}`,
      outline: piece.outline,
      name: nameOf(index),
      letter: letters[piece.partId],
      size: isWhole
        ? formatLength(along, unit)
        : `${formatLength(along, unit)} x ${formatLength(across, unit)}`,
      isDone: free.has(index) && done > 0,
    };
  });
  const words = cutWords(board, done, unit, nameOf);
  const from = 'owned' in layout.source ? 'yours already' : layout.source.store;
  const title = `${layout.section} ${layout.material} ${formatStockLength(layout.length, unit)}`;
  return (
    <View style={styles.board} role="region" aria-label="At the saw">
      <View>
        <Text size="title">{title}</Text>
        <Text size="small" tone="soft">
          {`${place} of ${of} · drawing ${board.number} · ${from}`}
        </Text>
      </View>
      <LayoutDrawing
        kind={layout.kind}
        hasGrain={!isFibreboard(materialOf(layout.material, own).panel)}
        length={layout.length}
        width={layout.width}
        longest={layout.length}
        color={colors.wood[woodTone(layout.material, own)]}
        pieces={pieces}
        offcuts={layout.offcuts.map((offcut) => ({ ...offcut, size: formatLength(offcut.length, unit) }))}
        cut={cuts[done]?.line ?? null}
        label={`${title}: ${pieces.map(({ name, size }) => `${name} ${size}`).join(', ')}`}
      />
      {words ? (
        <View role="status">
          <Text size="small" tone="soft">{`Cut ${done + 1} of ${cuts.length}`}</Text>
          <Text size="headline">{words.title}</Text>
          <Text>{words.measure}</Text>
          <Text tone="soft">{words.leaves}</Text>
        </View>
      ) : (
        <View role="status">
          <Text size="headline">{cuts.length === 0 ? 'Nothing to saw on it' : 'This one is sawn'}</Text>
          <Text tone="soft">
            {cuts.length === 0 ? 'It is used whole.' : 'Mark its pieces before they are moved.'}
          </Text>
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

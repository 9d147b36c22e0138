import { useEffect, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { lostRecords, type SawBoard } from '@/core/sawing';
import type { OpenProject, PlannedProject } from '@/hooks';
import { isOnControl, onKeyDown } from '@/platform/page';
import { Button, Columns, Row, SectionHeader, Text, useAwake, useIsWide } from '@/ui';
import { BoardAtSaw } from './BoardAtSaw';
import { BoardsThere } from './BoardsThere';
import { Pile } from './Pile';
import { StillToBuy } from './StillToBuy';
import { measuredKey, useSawing, type Eyes } from './useSawing';
import { stockWords } from './words';

interface Props {
  /** At the generation that is planned. */
  open: PlannedProject;
  newest: OpenProject;
  boards: SawBoard[];
  letters: Record<string, string>;
  head: ReactNode;
  eyes: Eyes;
  onEyes: (eyes: Eyes) => void;
}

/** One board at a time, its next cut lit, and beside it the pile and all boards. */
export const BoardByBoard = ({ open, newest, boards, letters, head, eyes, onEyes }: Props) => {
  const { project, book } = open;
  const look = (chosen: string) => onEyes({ ...eyes, chosen });
  const sawing = useSawing(newest, boards, eyes, look);
  const { board, doneOf, isLeft, setDone } = sawing;
  const isAwake = useAwake();
  const isWide = useIsWide();
  const cut = board && isLeft(board) ? () => setDone(board, doneOf(board) + 1) : null;
  useSpace(cut);
  if (!board) return <Columns>{head}</Columns>;
  const next = boards.find((other) => other !== board && isLeft(other));
  const pile = <Pile boards={boards} doneOf={doneOf} letters={letters} />;
  return (
    <Columns beside={pile}>
      {head}
      <StillToBuy open={open} />
      <Lost open={open} newest={newest} boards={boards} />
      {eyes.before && !open.isStale ? <Changed before={eyes.before} boards={boards} /> : null}
      <BoardAtSaw
        board={board}
        place={boards.indexOf(board) + 1}
        of={boards.length}
        done={doneOf(board)}
        project={project}
        own={book.materials}
        letters={letters}
        onCut={cut}
        onUndo={doneOf(board) > 0 ? () => setDone(board, doneOf(board) - 1) : null}
        onNext={next ? () => look(next.key) : null}
      />
      <BoardsThere
        key={board.key}
        board={board}
        done={doneOf(board)}
        newest={newest}
        letters={letters}
        onSpoil={(piece, left) => sawing.spoil(board, piece, left)}
        onChange={(measuredId) =>
          onEyes({
            chosen: measuredId === null ? eyes.chosen : measuredKey(measuredId),
            before: boards.map(({ key }) => key),
          })
        }
      />
      {isWide ? null : pile}
      <SectionHeader
        title="Boards and sheets"
        note={`${boards.filter((each) => !isLeft(each)).length} of ${boards.length} sawn`}
      />
      {boards.map((each, index) => (
        <Row
          key={each.key}
          onPress={() => look(each.key)}
          label={`Saw ${index + 1}: ${each.layout.section} ${each.layout.material}`}
          style={styles.row}
        >
          <Text size={each === board ? 'strong' : 'body'}>
            {`${index + 1} · ${stockWords(each.layout, project.unit)}`}
          </Text>
          <Text size="small" tone="soft">
            {`${doneOf(each)} of ${each.sequence.cuts.length} cuts · ${settingsWords(each.setups)}`}
          </Text>
        </Row>
      ))}
      <Text size="small" tone="soft" style={styles.pad}>
        {`What is sawn is kept in the project, by board. ${isAwake ? 'The screen stays on. ' : ''}The saw’s own manual comes first.`}
      </Text>
      <View style={styles.again}>
        <Button onPress={sawing.beginAgain} disabled={!sawing.isBegun}>
          Begin again with all boards
        </Button>
      </View>
    </Columns>
  );
};

/** Boards that were begun, and whose wood is not there any more or is drawn otherwise. */
const Lost = ({ open, newest, boards }: Pick<Props, 'open' | 'newest' | 'boards'>) => {
  const { sawnBoards = [], settings } = newest.project;
  const { length } = open.isStale ? [] : lostRecords(boards, sawnBoards, settings.kerf.ticks);
  return length === 0 ? null : (
    <Text tone="bad" role="status" style={styles.told}>
      {`${length === 1 ? '1 board that was sawn is' : `${length} boards that were sawn are`} not among what was bought any more, or not as it measures now: the pieces are planned once more. Tick it as bought again, or undo.`}
    </Text>
  );
};

/** How many boards are drawn otherwise since something was measured or cut wrong. */
const Changed = ({ before, boards }: { before: string[]; boards: SawBoard[] }) => {
  const count = boards.filter(({ key }) => !before.includes(key)).length;
  return (
    <Text role="status" style={styles.told}>
      {count === 0
        ? 'Planned anew: every board is cut as before.'
        : `Planned anew: ${count === 1 ? '1 board is' : `${count} boards are`} cut otherwise now, the others as before.`}
    </Text>
  );
};

const settingsWords = (count: number): string =>
  `${count} ${count === 1 ? 'setting' : 'settings'} of the saw`;

/** The space bar does the cut, wherever no control has the focus. */
const useSpace = (cut: (() => void) | null): void => {
  useEffect(
    () =>
      onKeyDown((event) => {
        if (event.key !== ' ' || !cut || isOnControl(event)) return;
        event.preventDefault();
        cut();
      }),
    [cut],
  );
};

const styles = StyleSheet.create({
  pad: { padding: 16 },
  told: { paddingHorizontal: 16, paddingTop: 12 },
  row: { paddingHorizontal: 16, paddingVertical: 10 },
  again: { paddingHorizontal: 8, alignItems: 'flex-start' },
});

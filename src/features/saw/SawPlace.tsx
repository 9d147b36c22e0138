import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActivityIndicator } from 'react-native-paper';
import { boardsToSaw, type SawBoard } from '@/core/sawing';
import { partLetters } from '@/core/project';
import { shownPlan } from '@/core/plan';
import {
  isLike,
  keepDraft,
  useDraft,
  usePlanned,
  useProject,
  useView,
  type OpenProject,
  type PlannedProject,
} from '@/hooks';
import { isOnControl, onKeyDown } from '@/platform/page';
import { Button, Columns, Row, SectionHeader, SegmentedButtons, Text, useAwake, useIsWide } from '@/ui';
import { BoardAtSaw } from './BoardAtSaw';
import { CutSheet } from './CutSheet';
import { Labels } from './Labels';
import { Pile } from './Pile';
import { stockWords } from './words';

/** At the saw: one board at a time, its next cut lit, and the pile that is still to be cut. */
export const SawPlace = ({ id }: { id: string }) => {
  const open = useProject(id);
  return open ? <Planned open={open} /> : null;
};

const Planned = ({ open }: { open: OpenProject }) => {
  const planned = usePlanned(open);
  if (!planned) return <ActivityIndicator style={styles.wait} aria-label="Planning" />;
  // Nobody begins to cut while boards may still be cut another way.
  return planned.doing === null ? <Saw open={planned} /> : <Waiting onStop={planned.stop} />;
};

const Waiting = ({ onStop }: { onStop: () => void }) => (
  <Columns>
    <View style={styles.waiting} role="status">
      <Text size="title">Before the first cut</Text>
      <Text>Billet still looks for a cheaper way to cut these boards. It is soon done.</Text>
      <Button mode="outlined" onPress={onStop}>
        Saw what is found now
      </Button>
    </View>
  </Columns>
);

/** Cuts that are done, by the key of their board: kept in this browser. */
interface Progress {
  done: Record<string, number>;
}

const isProgress = isLike<Progress>({ done: {} });
const NONE: Progress = { done: {} };

const VIEWS = [
  { value: 'board', label: 'Boards' },
  { value: 'sheet', label: 'Cut sheet' },
  { value: 'labels', label: 'Labels' },
] as const;

const Saw = ({ open }: { open: PlannedProject }) => {
  const { project, book, plan } = open;
  const [view, setView] = useView(VIEWS, 'board');
  const shown = shownPlan(plan);
  const { boards, refused } = useMemo(
    () => boardsToSaw(shown?.layouts ?? [], project.settings.kerf.ticks),
    [shown, project.settings.kerf.ticks],
  );
  const letters = useMemo(() => partLetters(project), [project]);
  if (boards.length === 0 && refused.length === 0)
    return (
      <Columns>
        <Text style={styles.pad}>
          Nothing to saw yet. Boards and sheets are planned from parts and their prices, under Buy.
        </Text>
      </Columns>
    );
  const head = (
    <>
      <View style={styles.views} testID="not-printed">
        <SegmentedButtons
          label="How the saw’s work is shown"
          value={view}
          onChange={setView}
          options={VIEWS}
        />
      </View>
      {refused.length > 0 ? (
        <Text tone="bad" style={styles.pad}>
          {`The saw’s work for ${refused.map((number) => `drawing ${number}`).join(', ')} did not pass its check, and is not shown. The drawings under Buy hold.`}
        </Text>
      ) : null}
    </>
  );
  return view === 'board' ? (
    <BoardByBoard open={open} boards={boards} letters={letters} head={head} />
  ) : (
    <Columns>
      {head}
      {view === 'sheet' ? (
        <CutSheet boards={boards} project={project} own={book.materials} letters={letters} />
      ) : (
        <Labels project={project} />
      )}
    </Columns>
  );
};

const BoardByBoard = ({
  open: { project, book },
  boards,
  letters,
  head,
}: {
  open: PlannedProject;
  boards: SawBoard[];
  letters: Record<string, string>;
  head: ReactNode;
}) => {
  const place = `saw/${project.id}`;
  const kept = useDraft(place, isProgress);
  const [progress, setProgress] = useState<Progress>(kept ?? NONE);
  const [chosen, setChosen] = useState<string | null>(null);
  const isAwake = useAwake();
  const isWide = useIsWide();
  const doneOf = ({ key, sequence }: SawBoard) => Math.min(progress.done[key] ?? 0, sequence.cuts.length);
  const isLeft = (board: SawBoard) => doneOf(board) < board.sequence.cuts.length;
  const board = boards.find(({ key }) => key === chosen) ?? boards.find(isLeft) ?? boards[0];
  const setDone = (of: SawBoard, count: number) => {
    const next = { done: { ...progress.done, [of.key]: count } };
    setProgress(next);
    keepDraft(place, next);
    setChosen(of.key);
  };
  const cut = board && isLeft(board) ? () => setDone(board, doneOf(board) + 1) : null;
  useSpace(cut);
  if (!board) return <Columns>{head}</Columns>;
  const next = boards.find((other) => other !== board && isLeft(other));
  const pile = <Pile boards={boards} doneOf={doneOf} letters={letters} />;
  return (
    <Columns beside={pile}>
      {head}
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
        onNext={next ? () => setChosen(next.key) : null}
      />
      {isWide ? null : pile}
      <SectionHeader
        title="Boards and sheets"
        note={`${boards.filter((each) => !isLeft(each)).length} of ${boards.length} sawn`}
      />
      {boards.map((each, index) => (
        <Row
          key={each.key}
          onPress={() => setChosen(each.key)}
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
        {`What is sawn is kept in this browser, by board. ${isAwake ? 'The screen stays on. ' : ''}The saw’s own manual comes first.`}
      </Text>
      <View style={styles.again}>
        <Button
          onPress={() => {
            setProgress(NONE);
            keepDraft(place, null);
          }}
          disabled={Object.keys(progress.done).length === 0}
        >
          Begin again with all boards
        </Button>
      </View>
    </Columns>
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
  wait: { marginTop: 80 },
  waiting: { padding: 16, gap: 12, alignItems: 'flex-start' },
  pad: { padding: 16 },
  views: { paddingHorizontal: 16, paddingTop: 12 },
  row: { paddingHorizontal: 16, paddingVertical: 10 },
  again: { paddingHorizontal: 8, alignItems: 'flex-start' },
});

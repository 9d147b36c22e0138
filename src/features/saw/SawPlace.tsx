import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActivityIndicator } from 'react-native-paper';
import { boardsToSaw, partsToFit } from '@/core/sawing';
import { partLetters } from '@/core/project';
import { shownPlan } from '@/core/plan';
import { usePlanned, useProject, useView, type OpenProject, type PlannedProject } from '@/hooks';
import { Button, Columns, SegmentedButtons, Text } from '@/ui';
import { Assembly } from './Assembly';
import { BoardByBoard } from './BoardByBoard';
import { CutSheet } from './CutSheet';
import { Labels } from './Labels';
import { NOWHERE, type Eyes } from './useSawing';

/** At the saw: one board at a time, its next cut lit, and the pile that is still to be cut. */
export const SawPlace = ({ id }: { id: string }) => {
  const open = useProject(id);
  return open ? <Planned open={open} /> : null;
};

const Planned = ({ open }: { open: OpenProject }) => {
  const planned = usePlanned(open);
  const [eyes, setEyes] = useState<Eyes>(NOWHERE);
  if (!planned) return <ActivityIndicator style={styles.wait} aria-label="Planning" />;
  // Nobody begins to cut while boards may still be cut another way.
  const isBegun = (open.project.sawnBoards ?? []).length > 0;
  return planned.doing === null || isBegun ? (
    <Saw open={planned} newest={open} eyes={eyes} onEyes={setEyes} />
  ) : (
    <Waiting onStop={planned.stop} />
  );
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

const VIEWS = [
  { value: 'board', label: 'Boards' },
  { value: 'sheet', label: 'Cut sheet' },
  { value: 'labels', label: 'Labels' },
  { value: 'assembly', label: 'Assembly' },
] as const;

const Saw = ({
  open,
  newest,
  eyes,
  onEyes,
}: {
  open: PlannedProject;
  newest: OpenProject;
  eyes: Eyes;
  onEyes: (eyes: Eyes) => void;
}) => {
  const { project, book, plan } = open;
  const [view, setView] = useView(VIEWS, 'board');
  const shown = shownPlan(plan);
  // The same text for the same parts: what else changes of the project leaves the boards as they are.
  const toFit = JSON.stringify([...partsToFit(project)]);
  const { boards, refused } = useMemo(
    () =>
      boardsToSaw(shown?.layouts ?? [], project.settings.kerf.ticks, new Set(JSON.parse(toFit) as string[])),
    [shown, project.settings.kerf.ticks, toFit],
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
    <BoardByBoard {...{ open, newest, boards, letters, head, eyes, onEyes }} />
  ) : (
    <Columns>
      {head}
      {view === 'sheet' ? (
        <CutSheet boards={boards} project={project} own={book.materials} letters={letters} />
      ) : view === 'labels' ? (
        <Labels project={project} />
      ) : (
        <Assembly open={open} />
      )}
    </Columns>
  );
};

const styles = StyleSheet.create({
  wait: { marginTop: 80 },
  waiting: { padding: 16, gap: 12, alignItems: 'flex-start' },
  pad: { padding: 16 },
  views: { paddingHorizontal: 16, paddingTop: 12 },
});

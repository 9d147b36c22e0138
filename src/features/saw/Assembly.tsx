import { StyleSheet, View } from 'react-native';
import { Link } from 'expo-router';
import { partLetters, withLetter, type Project } from '@/core/project';
import { assemblyOf, type AssemblyGroup, type AssemblyStep } from '@/core/takeoff';
import { formatLength } from '@/core/units';
import type { PlannedProject } from '@/hooks';
import { Button, Checkbox, Row, SectionHeader, Text } from '@/ui';
import { PrintHead } from './PrintHead';
import { stepWords } from './assemblyWords';

interface Props {
  open: PlannedProject;
}

/** How it goes together: group by group, its pieces, its joints with what holds them, and what is to be checked. */
export const Assembly = ({ open }: Props) => {
  const { project, book, dispatch } = open;
  const groups = assemblyOf(project, book.materials);
  const done = groups.filter(({ isDone }) => isDone).length;
  const move = (index: number, by: 1 | -1) => {
    const order = groups.map(({ groupId }) => groupId);
    const [moved] = order.splice(index, 1);
    if (moved) order.splice(index + by, 0, moved);
    dispatch({ type: 'orderAssembly', order });
  };
  return (
    <View role="region" aria-label="Assembly">
      <PrintHead
        title={project.name}
        note={`${done} of ${groups.length} ${groups.length === 1 ? 'group' : 'groups'} put together`}
        testID="not-printed"
      />
      <View role="list" aria-label="In this order">
        {groups.map((group, index) => (
          <OneGroup
            key={group.groupId}
            group={group}
            number={index + 1}
            project={project}
            onDone={(isDone) => dispatch({ type: 'assembleGroup', groupId: group.groupId, isDone })}
            onEarlier={index > 0 ? () => move(index, -1) : null}
            onLater={index < groups.length - 1 ? () => move(index, 1) : null}
          />
        ))}
      </View>
      <Text size="small" tone="soft" style={styles.pad}>
        Pilot holes near ends, and where wood is hard or thin: a bit as thick as the screw without its thread.
        What was glued holds as long as the label of the glue says before it is worked on.
      </Text>
    </View>
  );
};

const OneGroup = ({
  group: { name, copies, steps, isDone },
  number,
  project,
  onDone,
  onEarlier,
  onLater,
}: {
  group: AssemblyGroup;
  number: number;
  project: Project;
  onDone: (isDone: boolean) => void;
  onEarlier: (() => void) | null;
  onLater: (() => void) | null;
}) => {
  const letters = partLetters(project);
  const named = (partId: string, part: string) => withLetter(letters, partId, part);
  return (
    <View role="listitem">
      <SectionHeader title={`${number} · ${name}`} note={copies > 1 ? `${copies} of these` : ''} />
      {steps.map((step, index) => (
        <OneStep key={index} step={step} project={project} named={named} />
      ))}
      <Row style={styles.foot}>
        <Checkbox label={`${name}: put together`} isTicked={isDone} onPress={() => onDone(!isDone)} />
        <Text style={styles.grow} aria-hidden>
          {copies > 1 ? `All ${copies} are put together` : 'Put together'}
        </Text>
        <View style={styles.order} testID="not-printed">
          <Button
            mode="text"
            disabled={!onEarlier}
            onPress={() => onEarlier?.()}
            accessibilityLabel={`${name}: earlier`}
          >
            Earlier
          </Button>
          <Button
            mode="text"
            disabled={!onLater}
            onPress={() => onLater?.()}
            accessibilityLabel={`${name}: later`}
          >
            Later
          </Button>
        </View>
      </Row>
    </View>
  );
};

const OneStep = ({
  step,
  project,
  named,
}: {
  step: AssemblyStep;
  project: Project;
  named: (partId: string, part: string) => string;
}) => {
  const { title, detail } = stepWords(step, named, (ticks) => formatLength(ticks, project.unit));
  return (
    <Row style={styles.step}>
      <Text>{title}</Text>
      {detail === '' ? null : (
        <Text size="small" tone="soft">
          {detail}
        </Text>
      )}
      {step.kind === 'measure'
        ? step.pieces.map(({ partId, name }) => (
            <Link
              key={partId}
              href={`/project/${project.id}/parts?open=part:${encodeURIComponent(partId)}`}
              style={styles.link}
            >
              <Text tone="good">{`Write down the length of ${named(partId, name)}`}</Text>
            </Link>
          ))
        : null}
    </Row>
  );
};

const styles = StyleSheet.create({
  pad: { padding: 16 },
  link: { minHeight: 44, justifyContent: 'center', paddingVertical: 12 },
  step: { paddingHorizontal: 16, paddingVertical: 8 },
  foot: { flexDirection: 'row', alignItems: 'center', paddingHorizontal: 16, gap: 8, flexWrap: 'wrap' },
  grow: { flexGrow: 1 },
  order: { flexDirection: 'row' },
});

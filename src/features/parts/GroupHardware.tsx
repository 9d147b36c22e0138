import { StyleSheet, View } from 'react-native';
import { formatMoney, type Minor } from '@/core/units';
import {
  chosenOption,
  copiesOf,
  resolve,
  resolveExtra,
  resolveJoint,
  type Extra,
  type Group,
  type Joint,
  type Option,
  type Project,
} from '@/core/project';
import type { Check } from '@/core/takeoff';
import { Row, Text } from '@/ui';
import { CheckWords } from './CheckWords';
import { extraWords } from './ExtraForm';
import type { Chosen } from './chosen';

interface Props {
  project: Project;
  group: Group | null;
  costs: Record<string, Minor>;
  checks: Check[];
  chosen: Chosen;
  onChoose: (chosen: Chosen) => void;
}

/** What a group needs beside its parts: the fasteners of its joints, and what covers and fills. */
export const GroupHardware = ({ project, group, costs, checks, chosen, onChoose }: Props) => {
  const option = group && chosenOption(group);
  const extras = project.extras.filter(({ groupId }) => groupId === (group?.id ?? null));
  const shown = { project, costs, checks, chosen, onChoose };
  return (
    <>
      {(option?.joints ?? []).map((joint) =>
        group && option ? (
          <JointRow key={joint.id} {...shown} joint={joint} option={option} group={group} />
        ) : null,
      )}
      {extras.map((extra) => (
        <ExtraRow key={extra.id} {...shown} extra={extra} />
      ))}
    </>
  );
};

type RowProps = Omit<Props, 'group'>;

const JointRow = ({
  project,
  group,
  option,
  joint,
  costs,
  checks,
  chosen,
  onChoose,
}: RowProps & { group: Group; option: Option; joint: Joint }) => {
  const resolved = resolveJoint(joint, option, group, project);
  const needs =
    joint.how === 'glue' && resolved
      ? `glued in ${joint.quantity * copiesOf(group)} places`
      : resolved?.needs.map(({ item, count }) => `${count * copiesOf(group)} × ${item}`).join(' · ');
  return (
    <Line
      title={resolved?.name ?? joint.name}
      words={needs ?? 'no longer joins anything'}
      label={`Change fasteners ${resolved?.name ?? joint.name}`}
      cost={money(project, costs[joint.id])}
      checks={checks.filter(({ id }) => id === joint.id)}
      isChosen={chosen?.id === joint.id}
      onPress={() => onChoose({ kind: 'joint', id: joint.id })}
    />
  );
};

const ExtraRow = ({ project, extra, costs, chosen, onChoose }: RowProps & { extra: Extra }) => {
  const result = resolveExtra(extra, project, resolve(project).parts);
  return (
    <Line
      title={extra.name}
      words={result.ok ? extraWords(extra, result.value.amount, result.value.count, project.unit) : ''}
      label={`Change ${extra.name}`}
      cost={money(project, costs[extra.id])}
      checks={
        result.ok
          ? []
          : [
              {
                code: 'formula',
                id: extra.id,
                groupId: '',
                sentence: result.problems[0]?.sentence ?? '',
                weight: 'bad',
              },
            ]
      }
      isChosen={chosen?.id === extra.id}
      onPress={() => onChoose({ kind: 'extra', id: extra.id })}
    />
  );
};

const money = (project: Project, cost: Minor | undefined): string | null =>
  cost === undefined ? null : formatMoney(cost, project.currency);

const Line = ({
  title,
  words,
  label,
  cost,
  checks,
  isChosen,
  onPress,
}: {
  title: string;
  words: string;
  label: string;
  cost: string | null;
  checks: Check[];
  isChosen: boolean;
  onPress: () => void;
}) => (
  <Row onPress={onPress} label={label} isChosen={isChosen} style={styles.row}>
    <View style={styles.inside}>
      <View style={styles.words}>
        <Text size="small">{title}</Text>
        <Text size="small" tone="soft">
          {words}
        </Text>
        <CheckWords checks={checks} />
      </View>
      {cost ? <Text size="small">{cost}</Text> : null}
    </View>
  </Row>
);

const styles = StyleSheet.create({
  row: { paddingLeft: 94, paddingRight: 16, paddingVertical: 5 },
  inside: { flexDirection: 'row', alignItems: 'center', gap: 10 },
  words: { flex: 1 },
});

import { StyleSheet, View } from 'react-native';
import { chosenOption, madeNow, type Group, type Project } from '@/core/project';
import { helperOf } from '@/core/takeoff';
import { formatMoney, type Minor } from '@/core/units';
import { Row, SectionHeader, Text, useColors } from '@/ui';
import type { Chosen } from './chosen';
import { groupCost } from './groupCost';
import { GroupDrawing } from './HelperDrawing';

/** Beside the list on a wide screen: what each group comes to, and how it looks where a helper made it. */
export const PartsBeside = ({
  project,
  costs,
  onChoose,
}: {
  project: Project;
  costs: Record<string, Minor>;
  onChoose: (chosen: Chosen) => void;
}) => {
  const groups = madeNow(project).map((group) => ({ group, sum: groupCost(project, group, costs) }));
  const most = Math.max(1, ...groups.map(({ sum }) => sum));
  const drawn = groups.flatMap(({ group }) => {
    const made = chosenOption(group)?.made;
    const helper = made && helperOf(made.helper);
    return helper ? [{ group, helper }] : [];
  });
  return (
    <View>
      <SectionHeader title="What each group uses up" />
      {groups.map(({ group, sum }) => (
        <GroupSum
          key={group.id}
          group={group}
          sum={sum > 0 ? formatMoney(sum, project.currency) : ''}
          part={sum / most}
          onPress={() => onChoose({ kind: 'group', id: group.id })}
        />
      ))}
      {drawn.length > 0 ? <SectionHeader title="How it looks" note="to scale, each for itself" /> : null}
      {drawn.map(({ group, helper }) => (
        <View key={group.id} style={styles.drawing}>
          <Text size="small" tone="soft">
            {group.name}
          </Text>
          <GroupDrawing project={project} group={group} helper={helper} height={260} />
        </View>
      ))}
    </View>
  );
};

const GroupSum = ({
  group,
  sum,
  part,
  onPress,
}: {
  group: Group;
  sum: string;
  /** Of the dearest group, 0 to 1. */
  part: number;
  onPress: () => void;
}) => {
  const colors = useColors();
  return (
    <Row onPress={onPress} label={`Open group ${group.name}: ${sum || 'no sum yet'}`} style={styles.row}>
      <View style={styles.words}>
        <Text style={styles.grow}>{group.name}</Text>
        <Text size="strong">{sum}</Text>
      </View>
      <View testID="chart" style={[styles.bar, { backgroundColor: colors.hairline }]}>
        <View
          style={[styles.filled, { width: `${Math.round(part * 100)}%`, backgroundColor: colors.spruce }]}
        />
      </View>
    </Row>
  );
};

const styles = StyleSheet.create({
  row: { paddingHorizontal: 16, paddingVertical: 8, minHeight: 52 },
  words: { flexDirection: 'row', gap: 12, alignItems: 'baseline' },
  grow: { flex: 1 },
  bar: { height: 6, marginTop: 6, width: '100%' },
  filled: { height: 6 },
  drawing: { paddingVertical: 8, paddingHorizontal: 16 },
});

import { StyleSheet, View } from 'react-native';
import { rackUse, shownPlan, type RackClaim } from '@/core/plan';
import { keptElsewhere, rackName, type RackEntry } from '@/core/project';
import { notify, useProjectNames, useRackClaims, type PlannedProject } from '@/hooks';
import { Button, Icon, Row, Text, useColors } from '@/ui';

/** What of the rack other projects count on too, and what is kept for them: one tap settles who has it. */
export const RackClaims = ({ open }: { open: PlannedProject }) => {
  const { project, book, plan, dispatch, undo } = open;
  const claims = useRackClaims(open);
  const names = useProjectNames();
  const keep = (projectId: string, pieces: Record<string, number>, text: string) => {
    dispatch({ type: 'keepOnRack', projectId, pieces });
    notify({ text, action: { label: 'Undo', run: undo } });
  };
  const keepHere = ({ entry }: RackClaim) =>
    keep(project.id, rackUse(plan, [entry]), `${rackName(entry)} is kept for ${project.name}.`);
  const leave = ({ entry, others }: RackClaim) => {
    dispatch(
      others.map(({ id, count }) => ({
        type: 'keepOnRack' as const,
        projectId: id,
        pieces: { [entry.id]: count },
      })),
    );
    const [first] = others;
    notify({
      text: `${rackName(entry)} is kept for ${first?.name ?? 'the others'}.`,
      action: { label: 'Undo', run: undo },
    });
  };
  const wanted = new Set((shownPlan(plan)?.layouts ?? []).map(({ section }) => section));
  const kept = project.leavesRack
    ? []
    : keptElsewhere(Object.values(book.rack ?? {}), project.id).filter(({ item }) =>
        wanted.has(item.section),
      );
  if (claims.length === 0 && kept.length === 0) return null;
  return (
    <View role="region" aria-label="On the rack for two">
      {claims.map((claim) => (
        <Claim
          key={claim.entry.id}
          claim={claim}
          onKeep={() => keepHere(claim)}
          onLeave={() => leave(claim)}
        />
      ))}
      {kept.map((entry) => (
        <Row key={entry.id} style={styles.kept}>
          <Text tone="soft">{keptWords(entry, project.id, names)}</Text>
        </Row>
      ))}
    </View>
  );
};

/** `47 in 2x4 stud on the rack is kept for Trellis.` */
const keptWords = (entry: RackEntry, projectId: string, names: Map<string, string>): string =>
  `${rackName(entry)} on the rack is kept for ${Object.keys(entry.keptFor ?? {})
    .filter((id) => id !== projectId)
    .map((id) => names.get(id) ?? 'another project')
    .join(' and ')}: this plan does without it.`;

const Claim = ({
  claim: { entry, others },
  onKeep,
  onLeave,
}: {
  claim: RackClaim;
  onKeep: () => void;
  onLeave: () => void;
}) => {
  const colors = useColors();
  const names = others.map(({ name }) => name).join(' and ');
  return (
    <View>
      <Row style={styles.row}>
        <Icon name="warning" color={colors.red} />
        <Text style={styles.grow}>
          {`${rackName(entry)} from the rack is in the plan of ${names} too. Who has it?`}
        </Text>
      </Row>
      <View style={styles.choice}>
        <Button mode="outlined" compact onPress={onKeep}>
          Keep it here
        </Button>
        <Button mode="text" compact onPress={onLeave}>
          {`Leave it to ${names}`}
        </Button>
      </View>
    </View>
  );
};

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: 8, alignItems: 'flex-start', paddingHorizontal: 16, paddingVertical: 10 },
  kept: { paddingHorizontal: 16, paddingVertical: 10 },
  grow: { flex: 1 },
  choice: { paddingHorizontal: 16, paddingVertical: 8, gap: 8, flexDirection: 'row', flexWrap: 'wrap' },
});

import { StyleSheet, View } from 'react-native';
import { rackName } from '@/core/project';
import { notify, useRackClaims, type PlannedProject } from '@/hooks';
import { Button, Icon, Row, Text, useColors } from '@/ui';

/** What of the rack other projects count on too: whichever is built first has it. */
export const RackClaims = ({ open }: { open: PlannedProject }) => {
  const colors = useColors();
  const claims = useRackClaims(open);
  if (claims.length === 0) return null;
  const leave = () => {
    open.dispatch({ type: 'editProject', fields: { leavesRack: true } });
    notify({
      text: 'What is on the rack is left to the others.',
      action: { label: 'Undo', run: open.undo },
    });
  };
  return (
    <View role="region" aria-label="Promised twice">
      {claims.map(({ entry, others }) => (
        <Row key={entry.id} style={styles.row}>
          <Icon name="warning" color={colors.red} />
          <Text style={styles.grow}>
            {`${rackName(entry)} from the rack is in the plan of ${others.join(' and ')} too: whichever is cut first has it.`}
          </Text>
        </Row>
      ))}
      <View style={styles.leave}>
        <Button mode="outlined" compact onPress={leave}>
          Leave the rack to the others
        </Button>
      </View>
    </View>
  );
};

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: 8, alignItems: 'flex-start', paddingHorizontal: 16, paddingVertical: 10 },
  grow: { flex: 1 },
  leave: { paddingHorizontal: 16, paddingVertical: 8, alignItems: 'flex-start' },
});

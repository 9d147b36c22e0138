import { StyleSheet, View } from 'react-native';
import { needlessOf } from '@/core/budget';
import type { Plan } from '@/core/plan';
import { rackName } from '@/core/project';
import { formatMoney } from '@/core/units';
import type { OpenProject } from '@/hooks';
import { Icon, Row, Text, useColors } from '@/ui';

/** What was bought and is needless as things stand now: after a measure was changed it may go back to the store. */
export const Needless = ({ open: { project }, plan }: { open: OpenProject; plan: Plan }) => {
  const colors = useColors();
  const found = needlessOf(project, plan);
  if (found.length === 0) return null;
  return (
    <View role="region" aria-label="Bought and needless">
      {found.map((left) => (
        <Row key={rackName(left)} style={styles.row}>
          <Icon name="warning" color={colors.red} />
          <Text style={styles.grow}>
            {`${left.quantity} × ${rackName(left)} ${left.quantity === 1 ? 'was' : 'were'} bought, and nothing is cut from ${left.quantity === 1 ? 'it' : 'them'} as things stand: ${formatMoney(left.quantity * left.worth, project.currency)}.`}
          </Text>
        </Row>
      ))}
    </View>
  );
};

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: 8, alignItems: 'flex-start', paddingHorizontal: 16, paddingVertical: 10 },
  grow: { flex: 1 },
});

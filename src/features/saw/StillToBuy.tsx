import { Link } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { shownPlan } from '@/core/plan';
import { formatMoney } from '@/core/units';
import type { PlannedProject } from '@/hooks';
import { Text } from '@/ui';

/** Wood that the boards which are there are not enough for; nothing before anything was bought. */
export const StillToBuy = ({ open: { project, plan } }: { open: PlannedProject }) => {
  const buys = (shownPlan(plan)?.buys ?? []).filter(({ kind }) => kind !== 'hardware');
  if (buys.length === 0 || project.purchases.length === 0) return null;
  const sum = buys.reduce((all, { costWithTax }) => all + costWithTax, 0);
  // Where nothing was measured or cut wrong it is no surprise.
  const isSurprise =
    (project.measuredBoards ?? []).length > 0 ||
    (project.sawnBoards ?? []).some(({ pieces }) => pieces.some(({ spoiled }) => spoiled !== undefined));
  if (!isSurprise)
    return (
      <Text size="small" tone="soft" style={styles.place}>
        {`Not all of it is bought yet: ${formatMoney(sum, project.currency)} of wood stands on the list.`}
      </Text>
    );
  const words = buys.map(({ qty, item, store }) => `${qty} × ${item} at ${store}`).join(', ');
  return (
    <View style={styles.place} role="status">
      <Text tone="bad">{`The boards that are there are not enough. Still to buy: ${words}, ${formatMoney(sum, project.currency)}.`}</Text>
      <Link href={`/project/${project.id}/buy`} style={styles.link}>
        <Text tone="good">To the list</Text>
      </Link>
    </View>
  );
};

const styles = StyleSheet.create({
  place: { paddingHorizontal: 16, paddingTop: 12, alignItems: 'flex-start' },
  link: { minHeight: 48, justifyContent: 'center', paddingVertical: 12 },
});

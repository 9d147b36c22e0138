import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { formatMoney } from '@/core/units';
import { useSeveral, type PlannedProject } from '@/hooks';

import { SectionHeader, Button, Row, Text } from '@/ui';

/** What one piece of work costs when several are built at once: longer boards and whole packs are used up better. */
export const Several = ({ open }: { open: PlannedProject }) => {
  const [isOpen, setIsOpen] = useState(false);
  if (!isOpen)
    return (
      <View style={styles.closed}>
        <Button mode="text" onPress={() => setIsOpen(true)}>
          What if you build several?
        </Button>
      </View>
    );
  return <Table open={open} />;
};

const COUNTS = [1, 2, 3, 4, 6];

const Table = ({ open }: { open: PlannedProject }) => {
  const { project, plan } = open;
  const several = useSeveral(open, COUNTS);
  const money = (sum: number) => formatMoney(Math.round(sum), project.currency);
  const known = several.flatMap(({ total, builds }) => (total === null ? [] : [total / builds]));
  const least = Math.min(...known);
  return (
    <View role="region" aria-label="Build several">
      <SectionHeader
        title="Build several"
        note={`cost of each, planned together${plan.problems.length > 0 ? ', without what has no price yet' : ''}`}
      />
      {several.map(({ builds, total, above, isPlanning }) => {
        const each = total === null ? null : total / builds;
        const proofOf = (gap: number | null) =>
          gap === null ? '' : gap === 0 ? ', proved cheapest' : `, at most ${money(gap)} above the best`;
        const words =
          total === null
            ? isPlanning
              ? 'planning'
              : 'cannot all be made'
            : `${money(total)} in all${isPlanning ? ', still looking' : proofOf(above)}`;
        return (
          <Row key={builds} style={styles.row}>
            <Text size="strong" style={styles.count}>{`${builds} ×`}</Text>
            <Text size="small" tone="soft" style={styles.grow}>
              {words}
            </Text>
            <Text size="strong" tone={each !== null && each === least ? 'good' : 'ink'} align="right">
              {each === null ? '' : `${money(each)} each`}
            </Text>
          </Row>
        );
      })}
    </View>
  );
};

const styles = StyleSheet.create({
  closed: { alignItems: 'flex-start', paddingHorizontal: 8, paddingVertical: 4 },
  row: { paddingHorizontal: 16, paddingVertical: 12, flexDirection: 'row', alignItems: 'center', gap: 12 },
  count: { minWidth: 36 },
  grow: { flex: 1 },
});

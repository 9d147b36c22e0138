import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { Link } from 'expo-router';
import { unfitInPlan } from '@/core/compare/fit';
import { capital } from '@/core/capital';
import type { Plan } from '@/core/plan';
import type { OpenProject } from '@/hooks';
import { Icon, Row, Text, useColors } from '@/ui';

/** What of the plan is of a wood that does not last where it stands: said before it is bought. */
export const NotFit = ({ open, plan }: { open: OpenProject; plan: Plan }) => {
  const { project, book } = open;
  const colors = useColors();
  const unfit = useMemo(() => unfitInPlan(project, book, plan), [project, book, plan]);
  if (unfit.length === 0) return null;
  return (
    <View role="region" aria-label="Not fit where it stands">
      {unfit.map(({ groupId, group, material, sentence, fitting }) => (
        <Row key={`${groupId} ${material}`} style={styles.row}>
          <View style={styles.line}>
            <Icon name="warning" color={colors.red} />
            <Text tone="bad" style={styles.grow}>
              {`${capital(material)} is not fit for ${group}: ${sentence}`}
            </Text>
          </View>
          <Link href={`/project/${project.id}/compare`} style={styles.link}>
            <Text tone="good">
              {fitting.length > 0
                ? `Fit: ${fitting.slice(0, 3).join(', ')}. Compare what they cost`
                : 'Compare what is fit'}
            </Text>
          </Link>
        </Row>
      ))}
    </View>
  );
};

const styles = StyleSheet.create({
  row: { paddingHorizontal: 16, paddingVertical: 10, gap: 4 },
  line: { flexDirection: 'row', gap: 8, alignItems: 'flex-start' },
  grow: { flex: 1 },
  link: { minHeight: 44, paddingVertical: 12 },
});

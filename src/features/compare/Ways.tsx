import { StyleSheet, View } from 'react-native';
import { ActivityIndicator } from 'react-native-paper';
import type { Saving } from '@/core/compare';
import { formatMoney } from '@/core/units';
import type { Project } from '@/core/project';
import type { WaysView } from '@/hooks/compare';
import { SectionHeader, Button, Row, Text } from '@/ui';

interface Props {
  view: WaysView;
  /** All of the project can be made and bought. */
  isWhole: boolean;
  project: Project;
  onTry: (saving: Saving) => void;
  onTake: (saving: Saving) => void;
}

/** Ways to save by money, each with its catch; what is only put off stands apart. */
export const Ways = ({ view: { ways, isLooking }, isWhole, ...props }: Props) => {
  // What lacks its finish is no saving yet, and stands last.
  const sorted = [...ways].sort((a, b) => Number(b.isWhole) - Number(a.isWhole) || b.saves - a.saves);
  const isPutOff = ({ kind }: Saving) => kind === 'later';
  const saving = sorted.filter((way) => !isPutOff(way));
  const putOff = sorted.filter(isPutOff);
  return (
    <View>
      <View style={styles.state} aria-live="polite">
        {isLooking ? <ActivityIndicator size={16} /> : null}
        <Text size="small" tone="soft" style={styles.grow}>
          {isLooking
            ? 'Planning everything that might cost less. Each saving is the difference of two checked plans.'
            : !isWhole
              ? 'Something cannot be made yet, so that nothing can be held against it: see Buy for what is missing.'
              : ways.length === 0
                ? 'Nothing cheaper was found at these prices.'
                : 'Each saving is the difference of two checked plans. Savings do not simply add up: what is left is planned anew when you take one.'}
        </Text>
      </View>
      {saving.length > 0 ? (
        <View role="region" aria-label="Ways to save">
          <SectionHeader title="Ways to save" note={`${saving.length} found`} />
          <View role="list" aria-label="Ways to save">
            {saving.map((way) => (
              <Way key={way.id} way={way} {...props} />
            ))}
          </View>
        </View>
      ) : null}
      {putOff.length > 0 ? (
        <View role="region" aria-label="Put off for another time" style={styles.later}>
          <SectionHeader title="Put off for another time" note="not saved, but not spent yet" />
          <View role="list" aria-label="Put off for another time">
            {putOff.map((way) => (
              <Way key={way.id} way={way} {...props} />
            ))}
          </View>
        </View>
      ) : null}
    </View>
  );
};

const Way = ({ way, project, onTry, onTake }: Omit<Props, 'view' | 'isWhole'> & { way: Saving }) => (
  <View role="listitem">
    <Row style={styles.row}>
      <View style={styles.head}>
        <Text size="strong" style={styles.grow}>
          {way.title}
        </Text>
        <Text size="strong" tone="good" align="right">
          {formatMoney(-way.saves, project.currency)}
          {way.isForEach ? ' each' : ''}
          {!way.isForEach && project.builds > 1
            ? `, ${formatMoney(-Math.round(way.saves / project.builds), project.currency)} each`
            : ''}
        </Text>
      </View>
      <Text size="small" tone="soft">
        {way.tradeOff}
      </Text>
      <View style={styles.buttons}>
        <Button mode="outlined" compact accessibilityLabel={`Take: ${way.title}`} onPress={() => onTake(way)}>
          Take it
        </Button>
        <Button mode="text" compact accessibilityLabel={`Compare: ${way.title}`} onPress={() => onTry(way)}>
          Compare first
        </Button>
      </View>
    </Row>
  </View>
);

const styles = StyleSheet.create({
  state: { flexDirection: 'row', alignItems: 'center', gap: 10, paddingHorizontal: 16, paddingBottom: 10 },
  grow: { flex: 1 },
  later: { marginTop: 12 },
  row: { paddingHorizontal: 16, paddingVertical: 12, gap: 2 },
  head: { flexDirection: 'row', gap: 12, alignItems: 'baseline' },
  buttons: { flexDirection: 'row', gap: 8, marginTop: 6 },
});

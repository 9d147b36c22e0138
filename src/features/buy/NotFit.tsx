import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { Link } from 'expo-router';
import { projectMoney } from '@/core/budget';
import { unfitInPlan, type Unfit } from '@/core/compare/fit';
import { fittingWay, type FittingWay } from '@/core/compare/fitting';
import { capital } from '@/core/capital';
import { formatMoney } from '@/core/units';
import { shownBeside, type Plan } from '@/core/plan';
import { type PlannedProject } from '@/hooks';
import { takeWay, useAlternatives, type AlternativeView } from '@/hooks/compare';
import { Button, Icon, Row, Text, useColors } from '@/ui';

/** What of the plan is of a wood that does not last where it stands: said before it is bought, with what would last and its price. */
export const NotFit = ({ open, plan }: { open: PlannedProject; plan: Plan }) => {
  const { project, book } = open;
  const found = useMemo(
    () => unfitInPlan(project, book, plan).map((unfit) => ({ unfit, way: fittingWay(unfit, project, book) })),
    [project, book, plan],
  );
  const ways = useMemo(() => found.flatMap(({ way }) => (way ? [way] : [])), [found]);
  const views = useAlternatives(project, book, ways);
  if (found.length === 0) return null;
  return (
    <View role="region" aria-label="Not fit where it stands">
      {found.map(({ unfit, way }) => (
        <Told
          key={`${unfit.groupId} ${unfit.material}`}
          unfit={unfit}
          way={way}
          view={views.find(({ alternative }) => alternative.id === way?.id)}
          open={open}
        />
      ))}
    </View>
  );
};

const Told = ({
  unfit: { group, material, sentence },
  way,
  view,
  open,
}: {
  unfit: Unfit;
  way: FittingWay | null;
  view: AlternativeView | undefined;
  open: PlannedProject;
}) => {
  const { project, book, money, plan } = open;
  const colors = useColors();
  const isMade = view?.plan && shownBeside(view.plan, plan);
  const more = isMade ? projectMoney(view.made, book, view.plan).total - money.total : null;
  const take = () => {
    if (way) takeWay(open, { ...way, plan: view?.plan ?? null }, `${way.name}.`);
  };
  return (
    <Row style={styles.row}>
      <View style={styles.line}>
        <Icon name="warning" color={colors.red} />
        <Text tone="bad" style={styles.grow}>
          {`${capital(material)} is not fit for ${group}: ${sentence}`}
        </Text>
      </View>
      {way ? (
        <View style={styles.ways}>
          <Button mode="outlined" compact onPress={take}>
            {`Take ${way.material}${more === null ? '' : `: ${dearerWords(more, project.currency)}`}`}
          </Button>
          <Link href={`/project/${project.id}/compare`} style={styles.link}>
            <Text tone="good">Compare others</Text>
          </Link>
        </View>
      ) : (
        <Text size="small">No fit wood of this size has a price yet.</Text>
      )}
    </Row>
  );
};

const dearerWords = (more: number, currency: string): string =>
  more === 0 ? 'the same money' : `${formatMoney(Math.abs(more), currency)} ${more > 0 ? 'more' : 'less'}`;

const styles = StyleSheet.create({
  row: { paddingHorizontal: 16, paddingVertical: 10, gap: 4 },
  line: { flexDirection: 'row', gap: 8, alignItems: 'flex-start' },
  grow: { flex: 1 },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: 12, alignItems: 'center' },
  link: { minHeight: 44, paddingVertical: 12 },
});

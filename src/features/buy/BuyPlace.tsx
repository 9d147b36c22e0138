import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActivityIndicator } from 'react-native-paper';
import { Link } from 'expo-router';
import { recordPurchase } from '@/core/budget';
import { hazardContext } from '@/core/compare';
import { formatLength } from '@/core/units';
import { shownPlan, type Plan, type PlanProblem } from '@/core/plan';
import { cautionsFor } from '@/core/lumber';
import { tagName } from '@/core/project';
import {
  notify,
  today,
  useForAWhile,
  usePlanned,
  useProject,
  useView,
  type OpenProject,
  type PlannedProject,
} from '@/hooks';
import {
  SectionHeader,
  Button,
  Cautions,
  Columns,
  Icon,
  Row,
  SegmentedButtons,
  useColors,
  useIsWide,
  Text,
} from '@/ui';
import { NotInSums, PurchaseForm, Unpriced, unpricedNeeds, type PurchaseAt } from '@/forms';
import { AnythingElse } from './AnythingElse';
import { BuyHead } from './BuyHead';
import { Boards } from './Boards';
import { CheaperWays } from './CheaperWays';
import { BuyList } from './BuyList';
import { NotFit } from './NotFit';
import { Needless } from './Needless';
import { LeftOver } from './LeftOver';
import { OftenForgotten } from './OftenForgotten';
import { RackClaims } from './RackClaims';
import { Several } from './Several';

/** What to buy, by store, and how every board and sheet is cut. */
export const BuyPlace = ({ id }: { id: string }) => {
  const open = useProject(id);
  return open ? <Planned open={open} /> : null;
};

const Planned = ({ open }: { open: OpenProject }) => {
  const planned = usePlanned(open);
  return planned ? <Buy open={planned} /> : <ActivityIndicator style={styles.wait} aria-label="Planning" />;
};

const VIEWS = [
  { value: 'list', label: 'List' },
  { value: 'boards', label: 'Boards' },
] as const;

const Buy = ({ open }: { open: PlannedProject }) => {
  const { project, book, plan, doing, isStale } = open;
  const isWide = useIsWide();
  const shown = shownPlan(plan);
  const isSettled = useForAWhile(doing === null && !isStale);
  const [view, setView] = useView(VIEWS, 'list');
  const cautions = useMemo(() => cautionsFor(hazardContext(project, book, plan)), [project, book, plan]);
  const [bought, setBought] = useState<PurchaseAt | null>(null);
  const [isAdding, setAdding] = useState(false);
  const unpriced = useMemo(() => unpricedNeeds({ project, book }, plan.problems), [project, book, plan]);
  const others = plan.problems.filter(({ code }) => code !== 'noPrice');
  const form = isAdding ? (
    <AnythingElse open={open} onClose={() => setAdding(false)} />
  ) : bought ? (
    <BoughtForm open={open} at={bought} onClose={() => setBought(null)} />
  ) : null;
  const isEmpty = project.groups.every(({ options }) => options.every(({ parts }) => parts.length === 0));
  if (isEmpty)
    return (
      <Columns>
        <Text style={styles.pad}>Nothing to buy yet. Add parts first.</Text>
      </Columns>
    );
  const boards = shown ? (
    <>
      <Boards project={project} plan={shown} own={book.materials} />
      {shown.short.length > 0 ? <Short plan={shown} unit={project.unit} /> : null}
    </>
  ) : null;
  return (
    <Columns detail={form} beside={boards}>
      <BuyHead open={open} unpriced={unpriced.length} unmade={others.length} />
      {shown ? <NotFit open={open} plan={shown} /> : null}
      <Needless open={open} plan={plan} />
      <RackClaims open={open} />
      <Cautions cautions={cautions} />
      <OftenForgotten open={open} plan={plan} />
      <Unpriced open={open} needs={unpriced} />
      <Unmade problems={others} projectId={project.id} />
      {isWide ? null : (
        <SegmentedButtons label="Views of the plan" value={view} onChange={setView} options={VIEWS} />
      )}
      {isWide || view === 'list' ? (
        <>
          <BuyList open={open} plan={shown} onEdit={setBought} />
          <View style={styles.more}>
            <Button mode="outlined" icon="add" onPress={() => setAdding(true)}>
              Something else to buy
            </Button>
          </View>
          {shown === null ? null : (
            <>
              <CheaperWays open={open} isIdle={isSettled} />
              {plan.status === 'infeasible' ? null : <LeftOver open={open} plan={plan} />}
              <Several open={open} />
            </>
          )}
        </>
      ) : (
        boards
      )}
    </Columns>
  );
};

/** What was paid of something, recorded or mended. */
const BoughtForm = ({ open, at, onClose }: { open: PlannedProject; at: PurchaseAt; onClose: () => void }) => {
  const { project, book, plan, dispatch, undo } = open;
  const remove = () => {
    const gone = at.purchase.lines[at.line];
    const name = gone ? tagName(gone.item) : '';
    if (gone) dispatch({ type: 'removeLine', purchaseId: at.purchase.id, line: gone });
    onClose();
    notify({ text: `${name} is to buy again.`, action: { label: 'Undo', run: undo } });
  };
  return (
    <PurchaseForm
      key={`${at.purchase.id}-${at.line}`}
      project={project}
      stores={Object.values(book.stores).filter(({ currency }) => currency === project.currency)}
      at={at}
      isPlanned
      onSave={(purchase) => dispatch(recordPurchase(project, book, plan, purchase, today()))}
      onRemove={at.isNew ? undefined : { label: 'Not bought', run: remove }}
      onClose={onClose}
    />
  );
};

/** What cannot be made, and why. */
const Unmade = ({ problems, projectId }: { problems: PlanProblem[]; projectId: string }) => {
  const colors = useColors();
  if (problems.length === 0) return null;
  return (
    <View role="region" aria-label="Cannot be made yet">
      <NotInSums title="Cannot be made yet" count={problems.length} />
      {problems.map(({ sentence }, index) => (
        <Row key={index} style={styles.problem}>
          <View style={styles.problemLine}>
            <Icon name="warning" color={colors.red} />
            <Text style={styles.grow}>{sentence}</Text>
          </View>
        </Row>
      ))}
      <Link href={`/project/${projectId}/prices`} style={styles.link}>
        <Text tone="good">Go to Prices</Text>
      </Link>
    </View>
  );
};

/** Pieces that come out short, with the advice to measure first. */
const Short = ({ plan, unit }: { plan: Plan; unit: 'in' | 'mm' }) => (
  <View role="region" aria-label="Comes out short">
    <SectionHeader title="Comes out short" note="allowed by the project" />
    {plan.short.map(({ part, by, count }, index) => (
      <Row key={index} style={styles.problem}>
        <Text>
          {count} × {part}, each {formatLength(by, unit)} shorter than asked. Measure the board before the
          first cut: most run a little over.
        </Text>
      </Row>
    ))}
  </View>
);

const styles = StyleSheet.create({
  wait: { marginTop: 60 },
  pad: { padding: 16 },
  problem: { paddingHorizontal: 16, paddingVertical: 10 },
  problemLine: { flexDirection: 'row', gap: 10, alignItems: 'center' },
  grow: { flex: 1 },
  more: { padding: 16, alignItems: 'flex-start' },
  link: { paddingHorizontal: 16, paddingVertical: 12, minHeight: 44, display: 'flex' },
});

import { useEffect, useMemo, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { ActivityIndicator } from 'react-native-paper';
import { Link } from 'expo-router';
import { explainToBuy, explainVerdict, recordPurchase } from '@/core/budget';
import { hazardContext } from '@/core/compare';
import { formatLength, formatMoney } from '@/core/units';
import { planCost, shownPlan, type Plan, type PlanProblem } from '@/core/plan';
import { cautionsFor } from '@/core/lumber';
import { tagName } from '@/core/project';
import {
  notify,
  today,
  useByHand,
  usePlanned,
  useProject,
  type OpenProject,
  type PlannedProject,
} from '@/hooks';
import {
  SectionHeader,
  Button,
  Cautions,
  Columns,
  Figure,
  Icon,
  Row,
  SegmentedButtons,
  StatusBadge,
  useColors,
  useIsWide,
  Text,
} from '@/ui';
import { Explained, PurchaseForm, type PurchaseAt } from '@/forms';
import { AnythingElse } from './AnythingElse';
import { Boards } from './Boards';
import { CheaperWays } from './CheaperWays';
import { BuyList } from './BuyList';
import { NotFit } from './NotFit';
import { Needless } from './Needless';
import { NotInSums, Unpriced, unpricedNeeds } from './Unpriced';
import { doingWords, proofWords, verdictOf } from './words';
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
  const { project, book, dispatch, undo, plan, money, doing, isStale, stop, failure } = open;
  const isWide = useIsWide();
  const shown = shownPlan(plan);
  const isLong = useForAWhile(doing !== null);
  const isSettled = useForAWhile(doing === null && !isStale);
  const byHandCost = useByHand(open.request);
  // What has a typed price is bought the same way by hand.
  const besidePlan = shown ? money.toBuy - planCost(shown) : 0;
  const byHand = shown && byHandCost !== null ? byHandCost - shown.committedShipping + besidePlan : null;
  const [view, setView] = useState<'list' | 'boards'>('list');
  const cautions = useMemo(() => cautionsFor(hazardContext(project, book, plan)), [project, book, plan]);
  const [bought, setBought] = useState<PurchaseAt | null>(null);
  const [isAdding, setAdding] = useState(false);
  const [explained, setExplained] = useState<'sum' | 'verdict' | null>(null);
  const remove = ({ purchase, line }: PurchaseAt) => {
    const gone = purchase.lines[line];
    const name = gone ? tagName(gone.item) : '';
    if (gone) dispatch({ type: 'removeLine', purchaseId: purchase.id, line: gone });
    setBought(null);
    notify({ text: `${name} is to buy again.`, action: { label: 'Undo', run: undo } });
  };
  // What is left to buy says nothing of the whole: by hand too much was bought by then.
  const unpriced = useMemo(() => unpricedNeeds({ project, book }, plan.problems), [project, book, plan]);
  const others = plan.problems.filter(({ code }) => code !== 'noPrice');
  const isWhole = plan.status !== 'infeasible' && project.purchases.length === 0;
  const form = isAdding ? (
    <AnythingElse open={open} onClose={() => setAdding(false)} />
  ) : bought ? (
    <PurchaseForm
      key={`${bought.purchase.id}-${bought.line}`}
      project={project}
      stores={Object.values(book.stores).filter(({ currency }) => currency === project.currency)}
      at={bought}
      isPlanned
      onSave={(purchase) => dispatch(recordPurchase(project, book, plan, purchase, today()))}
      onRemove={bought.isNew ? undefined : { label: 'Not bought', run: () => remove(bought) }}
      onClose={() => setBought(null)}
    />
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
      <View style={styles.head}>
        <View style={styles.headline}>
          <Figure label="Where the sum to buy comes from" onPress={() => setExplained('sum')}>
            <Text size="title">
              {`${formatMoney(money.toBuy, project.currency)} to buy${money.complete ? '' : ', so far'}`}
            </Text>
          </Figure>
          {shown?.status === 'proved' || (shown && doing === null && shown.total > shown.lowerBound) ? (
            <Pressable
              role="button"
              aria-label={`${verdictOf(plan)}: what that rests on`}
              onPress={() => setExplained('verdict')}
              style={styles.verdict}
            >
              <StatusBadge text={verdictOf(plan)} tone={shown.status === 'proved' ? 'good' : 'plain'} />
            </Pressable>
          ) : null}
        </View>
        {shown ? (
          <Text size="small" tone="soft">
            {doing === null ? proofWords(shown, unpriced.length, others.length) : doingWords(shown, doing)}
          </Text>
        ) : null}
        {failure ? (
          <Text size="small" tone="bad" role="status">
            {failure}
          </Text>
        ) : null}
        {isLong ? (
          <Button mode="text" compact onPress={stop} style={styles.stop}>
            Stop looking
          </Button>
        ) : null}
        {shown && isWhole && byHand !== null && byHand > money.toBuy ? (
          <Text size="small" tone="soft">
            {`By hand, one store, one length: ${formatMoney(byHand, project.currency)}. This plan saves ${formatMoney(byHand - money.toBuy, project.currency)}.`}
          </Text>
        ) : null}
      </View>
      {explained === null ? null : (
        <Explained
          title={explained === 'sum' ? 'What is to buy' : `Why it says “${verdictOf(plan)}”`}
          currency={project.currency}
          onClose={() => setExplained(null)}
          {...(explained === 'sum'
            ? { explanations: [explainToBuy(project, book, plan)] }
            : { sentences: explainVerdict(plan) })}
        />
      )}
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
      {isWide ? null : form}
    </Columns>
  );
};

/** Whether something has gone on for a second: what is over sooner needs no button. */
const useForAWhile = (isOn: boolean): boolean => {
  const [isLong, setLong] = useState(false);
  useEffect(() => {
    if (!isOn) return undefined;
    const timer = setTimeout(() => setLong(true), 1000);
    return () => {
      clearTimeout(timer);
      setLong(false);
    };
  }, [isOn]);
  return isLong;
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
  head: { paddingHorizontal: 16, paddingTop: 14, paddingBottom: 4, gap: 4 },
  headline: { flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between', gap: 12 },
  stop: { alignSelf: 'flex-start', marginLeft: -8 },
  verdict: { minHeight: 44, justifyContent: 'center' },
  problem: { paddingHorizontal: 16, paddingVertical: 10 },
  problemLine: { flexDirection: 'row', gap: 10, alignItems: 'center' },
  grow: { flex: 1 },
  more: { padding: 16, alignItems: 'flex-start' },
  link: { paddingHorizontal: 16, paddingVertical: 12, minHeight: 44, display: 'flex' },
});

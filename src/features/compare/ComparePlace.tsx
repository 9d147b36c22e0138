import { useDeferredValue, useMemo, useState, type ComponentProps } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActivityIndicator } from 'react-native-paper';
import { usualProposals, type Saving } from '@/core/compare';
import { groupBy } from '@/core/groupBy';
import { shownPlan, type PlanProblem } from '@/core/plan';
import { hasParts, perWords, type Alternative } from '@/core/project';
import {
  newId,
  notify,
  useOpened,
  usePlanned,
  useProject,
  useView,
  type OpenProject,
  type PlannedProject,
} from '@/hooks';
import { MAX_NAME, takeWay, useProposals, useWaysToSave } from '@/hooks/compare';
import { Button, Columns, SegmentedButtons, Select, useIsWide, Text } from '@/ui';
import { UnpricedFold } from '@/forms';
import { AddColumn } from './AddColumn';
import { BuildOrBuy } from './BuildOrBuy';
import { Cards } from './Cards';
import { Chart } from './Chart';
import { useColumns, type Column } from './columns';
import { ColumnTable } from './ColumnTable';
import { Decided } from './Decided';
import { FILTERS, filtered, type Filter } from './filters';
import { PerForm } from './PerForm';
import { SaveView } from './SaveView';

/** Other ways to do a project side by side against the target, ways to save, and building against buying. */
export const ComparePlace = ({ id }: { id: string }) => {
  const open = useProject(id);
  return open ? <Planned open={open} /> : null;
};

const Planned = ({ open }: { open: OpenProject }) => {
  const planned = usePlanned(open);
  return planned ? (
    <Compare open={planned} />
  ) : (
    <ActivityIndicator style={styles.wait} aria-label="Planning" />
  );
};

const VIEWS = [
  { value: 'ways', label: 'Side by side' },
  { value: 'save', label: 'Ways to save' },
  { value: 'buy', label: 'Build or buy' },
] as const;
type ViewName = (typeof VIEWS)[number]['value'];

const NONE: Column[] = [];

/** Columns beside the choice, at most; and as many as are proposed where none were picked. */
const MAX_ALTERNATIVES = 11;
const PROPOSED = 5;

const Compare = ({ open }: { open: PlannedProject }) => {
  const { project, book, dispatch, plan, money, doing, isStale, request } = open;
  const isWide = useIsWide();
  const [asked, setShown] = useView(VIEWS, 'ways');
  // The tab answers at once, and what it opens follows.
  const shown = useDeferredValue<ViewName | null>(asked, null);
  const [opened, setOpened] = useOpened();
  const isAdding = opened === 'add';
  const setIsAdding = (isOpen: boolean) => setOpened(isOpen ? 'add' : '');
  const proposals = useProposals(request, plan);
  const alternatives = useMemo((): Alternative[] => {
    if (!project.alternatives) return usualProposals(proposals ?? [], PROPOSED).map(asAlternative);
    const names = new Map(proposals?.map(({ id, name }) => [id, name]));
    // A way that was made here is called as it is called now.
    return project.alternatives.map((one) => asAlternative({ ...one, name: names.get(one.id) ?? one.name }));
  }, [project.alternatives, proposals]);
  const latest = useColumns(open, alternatives);
  // What arrives is drawn between what is touched, never before it.
  const columns = useDeferredValue(latest, NONE);
  const base = doing === null && !isStale ? plan : null;
  // What is in sight is planned first.
  const isBusy = proposals === null || latest.some(({ isPlanning }) => isPlanning);
  const ways = useWaysToSave(request, isBusy && asked !== 'save' ? null : base);

  const add = (alternative: Alternative): void => {
    if (alternatives.some(({ id }) => id === alternative.id)) return;
    if (alternatives.length >= MAX_ALTERNATIVES) {
      notify({
        text: `There are ${MAX_ALTERNATIVES} beside what is chosen, which is the most. Take one out first.`,
      });
      return;
    }
    dispatch({ type: 'addAlternative', alternative, proposed: alternatives, most: MAX_ALTERNATIVES });
  };
  const choose = (column: Column): void => {
    if (!column.alternative) return;
    const { name, changes } = column.alternative;
    const [before, after] = [latest.find(({ isChosen }) => isChosen)?.outcome, column.outcome];
    const sums = before && after ? { before: before.atTill, after: after.atTill } : undefined;
    takeWay(open, { name, changes, plan: column.plan, sums }, `${name} is chosen.`);
  };
  const tryIt = ({ id, title, changes }: Saving): void => {
    add(asAlternative({ id: `save:${id}`, name: title, changes }));
    setShown('ways');
  };

  if (!project.groups.some(hasParts))
    return (
      <Columns>
        <Text style={styles.pad}>Nothing to compare yet. Add parts first.</Text>
      </Columns>
    );
  const detail = isAdding ? (
    <AddColumn
      project={project}
      proposals={proposals ?? []}
      columns={alternatives}
      held={new Set(alternatives.map(({ id }) => id))}
      onAdd={(proposal) => {
        add(asAlternative(proposal));
        if (!isWide) setIsAdding(false);
      }}
      onReset={project.alternatives ? () => dispatch({ type: 'resetAlternatives' }) : null}
      onClose={() => setIsAdding(false)}
    />
  ) : opened === 'per' ? (
    <PerForm open={open} total={money.total} isWhole={money.complete} onClose={() => setOpened('')} />
  ) : null;
  const shared = {
    columns: columns.filter(({ sameAs }) => !sameAs),
    project,
    book,
    onChoose: choose,
    onRemove: (column: Column) =>
      dispatch({ type: 'removeAlternative', alternativeId: column.id, proposed: alternatives }),
  };
  return (
    <Columns detail={detail} width={isWide && shown === 'ways' ? 'all' : 'reading'}>
      <SegmentedButtons label="What is compared" value={asked} onChange={setShown} options={VIEWS} />
      {shown === 'ways' ? (
        <SideBySide
          open={open}
          columns={columns}
          shared={shared}
          onOpen={setOpened}
          onLook={add}
          canAdd={proposals !== null}
        />
      ) : shown === 'save' ? (
        <SaveView open={open} base={base} ways={ways} onTry={tryIt} />
      ) : shown === 'buy' ? (
        <BuildOrBuy open={open} outcome={latest.find(({ isChosen }) => isChosen)?.outcome ?? null} />
      ) : null}
    </Columns>
  );
};

/** The ways of a project, bars and figures beside each other, with what can be added. */
const SideBySide = ({
  open,
  columns,
  shared,
  onOpen,
  onLook,
  canAdd,
}: {
  open: PlannedProject;
  columns: Column[];
  shared: ComponentProps<typeof Cards>;
  onOpen: (what: 'per' | 'add') => void;
  onLook: (way: Alternative) => void;
  canAdd: boolean;
}) => {
  const { project, plan, money } = open;
  const isWide = useIsWide();
  const [filter, setFilter] = useState<Filter>('all');
  const kept = filtered(shared.columns, filter);
  // Then a sum of nothing would stand for the whole.
  const isEmpty = !money.complete && money.total === 0 && (shownPlan(plan)?.layouts ?? []).length === 0;
  return (
    <>
      <View style={styles.head}>
        <Text size="small" tone="soft" style={styles.grow}>
          {`${wholeWords(project.builds)}, at the till${money.complete ? '' : ', without what has no price yet'}: each way is a plan of its own.`}
        </Text>
        {shared.columns.length > 2 && !isEmpty ? (
          <>
            <Text size="small" tone="soft" role="status">
              {kept.length < shared.columns.length ? `${kept.length} of ${shared.columns.length} ways` : ''}
            </Text>
            <Select label="Show" usual="all" value={filter} options={FILTERS} onChange={setFilter} />
          </>
        ) : null}
        <Button mode="outlined" onPress={() => onOpen('per')}>
          {project.per ? `Per ${perWords(project.per, project.unit)}` : 'Divide the cost'}
        </Button>
        <Button mode="outlined" icon="add" onPress={() => onOpen('add')} disabled={!canAdd}>
          Add a way
        </Button>
      </View>
      <UnpricedFold open={open} plan={plan} />
      <Lacking problems={plan.problems} />
      {isEmpty ? (
        <Text style={styles.pad}>
          Nothing has a price yet. With the first prices, ways to do it stand here side by side.
        </Text>
      ) : isWide ? (
        <ColumnTable {...shared} columns={kept} />
      ) : (
        <>
          <Chart columns={kept} open={open} />
          <Cards {...shared} columns={kept} />
        </>
      )}
      <Twins columns={columns} />
      <Decided open={open} onLook={onLook} held={new Set(columns.map(({ id }) => id))} />
      <Text size="small" tone="soft" style={styles.pad}>
        How long it stands, and what it is fit for, are rules of thumb: see Materials in the price book for
        where each is from, and to say otherwise.
      </Text>
    </>
  );
};

const wholeWords = (builds: number): string => (builds > 1 ? `All ${builds}` : 'The whole project');

/** What is in no sum that is compared. */
const Lacking = ({ problems }: { problems: PlanProblem[] }) => {
  const [first, ...more] = problems.filter(({ code }) => code !== 'noPrice');
  return first ? (
    <Text size="small" tone="bad" style={styles.lacking}>
      {`In no sum here: ${first.sentence}${more.length > 0 ? ` And ${more.length} more, see Buy.` : ''}`}
    </Text>
  ) : null;
};

/** Ways that come to the same as another, in one line: they are no choice. */
const Twins = ({ columns }: { columns: Column[] }) => {
  const twins = columns.filter(({ sameAs }) => sameAs !== null);
  if (twins.length === 0) return null;
  const words = groupBy(twins, ({ sameAs }) => sameAs?.id ?? '').map((like) => {
    const [first] = like;
    const twin = first?.sameAs?.isChosen ? 'it is now' : `“${first?.sameAs?.name ?? ''}”`;
    return `The same boards and money as ${twin}: ${like.map(({ name }) => `“${name}”`).join(', ')}.`;
  });
  return (
    <View role="region" aria-label="The same as another" style={styles.pad}>
      {words.map((text) => (
        <Text key={text} size="small" tone="soft">
          {text}
        </Text>
      ))}
    </View>
  );
};

/** As it is kept. */
const asAlternative = ({ id, name, changes }: Alternative): Alternative => ({
  id: id.length > 100 ? newId() : id,
  name: name.slice(0, MAX_NAME),
  changes,
});

const styles = StyleSheet.create({
  wait: { marginTop: 60 },
  pad: { padding: 16 },
  lacking: { paddingHorizontal: 16, paddingVertical: 6 },
  head: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: 12,
    paddingHorizontal: 16,
    paddingBottom: 4,
  },
  grow: { flexGrow: 1, flexBasis: 240 },
});

import { useDeferredValue, useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { inThePiece } from '@/core/budget';
import { fitChecks } from '@/core/compare/fit';
import { formatArea, formatMoney, formatWeight } from '@/core/units';
import { planInput, shownPlan, thicknessOf, type Layout, type Plan } from '@/core/plan';
import { needsOf } from '@/core/pricing';
import { emptyExtra, emptyGroup, resolve, type Book, type Project, type ResolvedPart } from '@/core/project';
import { checksOf, heaviestCarried, helperOf, weightsOf, type Carried } from '@/core/takeoff';
import { newId, useOpened, useProject, type OpenProject, useSnapshot } from '@/hooks';
import { SectionHeader, Button, Columns, Text } from '@/ui';
import { UnpricedFold } from '@/forms';
import { ExtraForm } from './ExtraForm';
import { GroupForm } from './GroupForm';
import { GroupHardware } from './GroupHardware';
import { GroupList } from './GroupList';
import { BuildingList, type Building } from './BuildingList';
import { HelperForm, helperOfGroup } from './HelperSheet';
import { TemplateForm } from './TemplateForm';
import { JointForm } from './JointForm';
import { MeasureForm } from './MeasureForm';
import { MeasuresBand } from './MeasuresBand';
import { PartForm } from './PartForm';
import { PartsBeside } from './PartsBeside';
import { PasteSheet } from './PasteSheet';
import { QuickLine } from './QuickLine';
import { chosenIn, openedIn, writeChosen, type Chosen, type Opened } from './chosen';

/** What a project is made of: what is being built, its measures, and the parts by group. */
export const PartsPlace = ({ id }: { id: string }) => {
  const open = useProject(id);
  return open ? <Parts open={open} /> : null;
};

const Parts = ({ open }: { open: OpenProject }) => {
  const { project, book, dispatch } = open;
  const snapshot = useSnapshot(project.id);
  const plan = shownPlan(snapshot?.plan ?? null);
  const [inAddress, setInAddress] = useOpened();
  const chosen = chosenIn(inAddress);
  const setChosen = (next: Chosen) => setInAddress(writeChosen(next));
  const [groupId, setGroupId] = useState<string | null>(null);
  const [opened, setOpenedHere] = useState<Opened>(() => openedIn(inAddress));
  const setOpened = (next: Opened) => {
    setOpenedHere(next);
    // A link asked for it once.
    if (next === null && openedIn(inAddress)) setInAddress('');
  };
  // Sums, checks and weights may come a moment after what was typed.
  const settled = useDeferredValue(project);
  // What it costs is of one generation, which may be a moment behind what is typed.
  const costs = useMemo(
    () => (snapshot && plan ? inThePiece(snapshot.project, plan, snapshot.book) : {}),
    [snapshot, plan],
  );
  const checks = useMemo(
    () => [...checksOf(settled, longestSold(settled, book), book.materials), ...fitChecks(settled, book)],
    [settled, book],
  );
  const addGroup = () => {
    const names = new Set(project.groups.map(({ name }) => name));
    let number = project.groups.length + 1;
    while (names.has(`Group ${number}`)) number++;
    const group = emptyGroup(newId(), newId(), `Group ${number}`);
    dispatch({ type: 'addGroup', group });
    setGroupId(group.id);
    setChosen({ kind: 'group', id: group.id });
  };
  const addExtra = () => {
    const covers = project.unit === 'in' ? '60 ft2' : '5 m2';
    const extra = { ...emptyExtra(newId()), name: 'Finish', rule: 'finish' as const, coats: 2, covers };
    dispatch({ type: 'addExtra', extra });
    setChosen({ kind: 'extra', id: extra.id });
  };
  const form = (
    <ChosenForm
      open={open}
      chosen={chosen}
      onChoose={setChosen}
      onHelper={(id) => setOpened({ kind: 'helper', groupId: id })}
    />
  );
  const hasForAll = project.extras.some(({ groupId: of }) => of === null);
  return (
    <Columns
      detail={chosen ? form : null}
      beside={<PartsBeside project={settled} costs={costs} onChoose={setChosen} />}
    >
      <QuickLine open={open} groupId={groupId} setGroupId={setGroupId} />
      <View style={styles.ways}>
        <Button mode="outlined" icon="add" onPress={() => setOpened({ kind: 'helpers' })}>
          Build from measures
        </Button>
        <Button mode="outlined" onPress={() => setOpened({ kind: 'paste' })}>
          Paste a list
        </Button>
      </View>
      <UnpricedFold open={open} plan={snapshot?.plan ?? null} />
      <MeasuresBand open={open} onChoose={setChosen} />
      <GroupList open={open} costs={costs} checks={checks} chosen={chosen} onChoose={setChosen} />
      {hasForAll ? (
        <View role="group" aria-label="For the whole project" style={styles.forAll}>
          <SectionHeader title="For the whole project" />
          <GroupHardware
            project={project}
            group={null}
            costs={costs}
            checks={checks}
            chosen={chosen}
            onChoose={setChosen}
          />
        </View>
      ) : null}
      <View style={styles.after}>
        <View style={styles.buttons}>
          <Button mode="outlined" icon="add" onPress={addGroup}>
            Add a group
          </Button>
          <Button mode="outlined" icon="add" onPress={addExtra}>
            Add a finish
          </Button>
        </View>
        <Facts project={snapshot?.project ?? settled} costs={costs} plan={plan} />
      </View>
      <OpenedSheet open={open} opened={opened} setOpened={setOpened} groupId={groupId} />
    </Columns>
  );
};

/** What is chosen, to be changed. */
const ChosenForm = ({
  open,
  chosen,
  onChoose,
  onHelper,
}: {
  open: OpenProject;
  chosen: Chosen;
  onChoose: (chosen: Chosen) => void;
  onHelper: (groupId: string) => void;
}) => {
  if (!chosen) return null;
  const { kind, id } = chosen;
  const shared = { open, onClose: () => onChoose(null) };
  switch (kind) {
    case 'part':
      return <PartForm key={id} {...shared} partId={id} onChoose={onChoose} />;
    case 'group':
      return (
        <GroupForm
          key={id}
          {...shared}
          groupId={id}
          onChoose={onChoose}
          helper={helperOfGroup(open, id)}
          onHelper={() => onHelper(id)}
        />
      );
    case 'measure':
      return <MeasureForm key={id} {...shared} variableId={id} />;
    case 'joint':
      return <JointForm key={id} {...shared} jointId={id} />;
    case 'extra':
      return <ExtraForm key={id} {...shared} extraId={id} />;
  }
};

/** What lies over the list: helpers, or a list to paste. */
const OpenedSheet = ({
  open,
  opened,
  setOpened,
  groupId,
}: {
  open: OpenProject;
  opened: Opened;
  setOpened: (opened: Opened) => void;
  groupId: string | null;
}) => {
  const [picked, setPicked] = useState<Building | null>(null);
  const close = () => {
    setPicked(null);
    setOpened(null);
  };
  if (!opened) return null;
  if (opened.kind === 'paste') return <PasteSheet open={open} groupId={groupId} onClose={close} />;
  if (opened.kind === 'helper') {
    const helper = helperOf(helperOfGroup(open, opened.groupId)?.id ?? '');
    return helper ? (
      <HelperForm open={open} helper={helper} groupId={opened.groupId} onClose={close} />
    ) : null;
  }
  if (!picked) return <BuildingList unit={open.project.unit} onPick={setPicked} onClose={close} />;
  return picked.kind === 'template' ? (
    <TemplateForm open={open} template={picked.template} onClose={close} />
  ) : (
    <HelperForm open={open} helper={picked.helper} onClose={close} />
  );
};

/** What it all weighs and has for a surface, and what the sums beside the parts are. */
const Facts = ({
  project,
  costs,
  plan,
}: {
  project: Project;
  costs: Record<string, number>;
  plan: Plan | null;
}) => {
  const carried = heaviestCarried((plan?.layouts ?? []).map(asCarried));
  const { all, heaviest, surface } = weightsOf(project);
  const spareParts = resolve(project).parts.filter(({ isSpare }) => isSpare);
  const spares = spareParts.reduce((sum, { id }) => sum + (costs[id] ?? 0), 0);
  const spareCount = spareParts.reduce((sum, { count }) => sum + count, 0);
  return (
    <>
      {all > 0 ? (
        <Text size="small" tone="soft">
          The wood weighs about {formatWeight(all, project.unit)}
          {heaviest
            ? `; its heaviest piece, ${heaviest.name}, ${formatWeight(heaviest.kilograms, project.unit)}`
            : ''}
          {carried
            ? `; the heaviest thing to carry home, ${carried.name}, ${formatWeight(carried.kilograms, project.unit)}`
            : ''}
          . All faces: {formatArea(surface, project.unit)}. By rule of thumb, at 12 % moisture: new treated
          wood is heavier.
        </Text>
      ) : null}
      {spareCount > 0 ? (
        <Text size="small" tone="soft">
          Fasteners: {spareCount} spare{spares > 0 ? `, ${formatMoney(spares, project.currency)}` : ''}, on
          top of those above.
        </Text>
      ) : null}
      {Object.keys(costs).length > 0 ? (
        <Text size="small" tone="soft">
          Beside each part: what it uses up of what is bought for it, with tax. Whole boards and boxes are
          under Buy.
        </Text>
      ) : null}
    </>
  );
};

const asCarried = (layout: Layout): Carried => ({
  ...layout,
  name: `a whole ${layout.section} ${layout.material}`,
  thickness: thicknessOf(layout),
});

/** The longest board on sale or owned for a part; null where none has a price. */
const longestSold = (project: Project, book: Book) => {
  const { offers, owned } = planInput(project, book);
  const needs = needsOf(resolve(project, book.materials).parts, offers);
  return (part: ResolvedPart): number | null => {
    const sold = needs.find(({ parts }) => parts.includes(part))?.offers ?? [];
    const lengths = [
      ...sold,
      ...owned.filter(
        ({ kind, thickness, width }) =>
          kind === 'board' && thickness === part.thickness && width === part.width,
      ),
    ].map(({ length }) => length);
    return lengths.length > 0 ? Math.max(...lengths) : null;
  };
};

const styles = StyleSheet.create({
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, paddingHorizontal: 16, paddingBottom: 10 },
  forAll: { marginTop: 8 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  after: { padding: 16, gap: 12, alignItems: 'flex-start' },
});

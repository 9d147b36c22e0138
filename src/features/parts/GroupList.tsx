import {
  memo,
  useCallback,
  useDeferredValue,
  useEffect,
  useMemo,
  useRef,
  useState,
  type ReactNode,
} from 'react';
import { StyleSheet, View } from 'react-native';
import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from '@dnd-kit/sortable';
import type { OwnMaterials } from '@/core/lumber';
import { formatMoney, type Minor } from '@/core/units';
import { chosenOption, partLetters, type Group, type Part, type Project } from '@/core/project';
import { partSketch, type Check } from '@/core/takeoff';
import type { OpenProject } from '@/hooks';
import { SectionHeader, Row, Text } from '@/ui';
import { CheckWords } from './CheckWords';
import { onScreen, PartRow, type OnScreen } from './PartRow';
import { groupCost } from './groupCost';
import { GroupHardware } from './GroupHardware';
import { measuredWords } from './MeasuredFields';
import { partTone } from './partTone';
import type { Chosen } from './chosen';
import { groupWords, partWords } from './words';

interface Props {
  open: OpenProject;
  /** What each part uses up, by id. */
  costs: Record<string, Minor>;
  checks: Check[];
  chosen: Chosen;
  onChoose: (chosen: Chosen) => void;
}

const NONE: Check[] = [];

// The same objects at every drawing: new ones would draw every row again.
const BY_POINTER = { activationConstraint: { distance: 4 } };
const BY_KEYS = {
  coordinateGetter: sortableKeyboardCoordinates,
  // A list that glides is not yet where the next key expects it.
  scrollBehavior: 'auto',
} as const;

const partsOf = (group: Group): Part[] => chosenOption(group)?.parts ?? [];

/** The parts by group, in an order that is changed by dragging, within a group and between groups. */
export const GroupList = ({ open: { project, book, dispatch }, costs, checks, chosen, onChoose }: Props) => {
  const [screen] = useState(onScreen);
  const settled = useDeferredValue(project);
  const lateCosts = useDeferredValue(costs);
  const lateGroups = useMemo(() => new Map(settled.groups.map((group) => [group.id, group])), [settled]);
  const latest = useRef(onChoose);
  useEffect(() => {
    latest.current = onChoose;
  });
  const choose = useCallback((next: Chosen) => latest.current(next), []);
  const sensors = useSensors(useSensor(PointerSensor, BY_POINTER), useSensor(KeyboardSensor, BY_KEYS));
  const move = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    const target = project.groups.find((group) => partsOf(group).some(({ id }) => id === over.id));
    if (!target) return;
    const index = partsOf(target).findIndex(({ id }) => id === over.id);
    dispatch({ type: 'movePart', partId: String(active.id), groupId: target.id, index });
  };
  const nameOf = (id: string | number) =>
    project.groups.flatMap(partsOf).find((part) => part.id === id)?.name ?? 'part';
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={move}
      accessibility={{
        announcements: {
          onDragStart: ({ active }) => `Picked up ${nameOf(active.id)}.`,
          onDragOver: ({ active, over }) =>
            over ? `${nameOf(active.id)} is over ${nameOf(over.id)}.` : undefined,
          onDragEnd: ({ active, over }) =>
            over ? `${nameOf(active.id)} was put at ${nameOf(over.id)}.` : `${nameOf(active.id)} stays.`,
          onDragCancel: ({ active }) => `${nameOf(active.id)} stays.`,
        },
      }}
    >
      {project.groups.map((group) => {
        const lateGroup = lateGroups.get(group.id);
        const isOn =
          !lateGroup || partsOf(group).some(({ id }) => screen.has(id)) || partsOf(group).length === 0;
        return (
          <GroupSection
            key={group.id}
            project={isOn ? project : settled}
            group={isOn ? group : lateGroup}
            costs={lateCosts}
            checks={checks}
            chosen={chosen}
            own={book.materials}
            screen={screen}
            onChoose={choose}
          />
        );
      })}
    </DndContext>
  );
};

interface SectionProps extends Omit<Props, 'open'> {
  project: Project;
  group: Group;
  /** What the user says of materials. */
  own: OwnMaterials | undefined;
  screen: OnScreen;
}

/**
 * One group with its parts, drawn again only when it changed. A group of which nothing is on screen is handed over as
 * it was, and follows a moment later.
 */
const GroupSection = memo(function GroupSection({
  project,
  group,
  costs,
  checks,
  chosen,
  own,
  screen,
  onChoose,
}: SectionProps) {
  const letters = partLetters(project);
  const choosePart = useCallback((id: string) => onChoose({ kind: 'part', id }), [onChoose]);
  const checksById = useMemo(() => {
    const byId = new Map<string, Check[]>();
    for (const check of checks) byId.set(check.id, [...(byId.get(check.id) ?? []), check]);
    return byId;
  }, [checks]);
  const parts = partsOf(group);
  const sum = groupCost(project, group, costs);
  const groupChecks = checks.filter(({ id }) => id === group.id);
  return (
    <View role="group" aria-label={group.name} style={styles.group}>
      <SectionHeader
        title={group.name}
        note={[groupWords(group), sum > 0 ? formatMoney(sum, project.currency) : '']
          .filter(Boolean)
          .join(' · ')}
        label={`Change group ${group.name}`}
        onPress={() => onChoose({ kind: 'group', id: group.id })}
      />
      <SortedParts ids={parts.map(({ id }) => id)}>
        {parts.map((part) => (
          <PartRow
            key={part.id}
            id={part.id}
            line={{
              name: part.name,
              quantity: part.quantity,
              letter: letters[part.id] ?? '',
              sketch: partSketch(part, group, project.unit)?.join(' ') ?? '',
              tone: partTone(part, group, own),
              words: partWords(part, project.unit),
              measured: measuredWords(part, project),
              checks: checksById.get(part.id) ?? NONE,
              cost: costs[part.id] === undefined ? null : formatMoney(costs[part.id] ?? 0, project.currency),
            }}
            screen={screen}
            isChosen={chosen?.id === part.id}
            onChoose={choosePart}
          />
        ))}
      </SortedParts>
      <GroupHardware
        project={project}
        group={group}
        costs={costs}
        checks={checks}
        chosen={chosen}
        onChoose={onChoose}
      />
      {groupChecks.length > 0 ? (
        <Row style={styles.own}>
          <CheckWords checks={groupChecks} />
        </Row>
      ) : null}
      {parts.length === 0 ? (
        <Row style={styles.nothing}>
          <Text tone="soft">Nothing in it yet. Add a part in the line above.</Text>
        </Row>
      ) : null}
    </View>
  );
});

/** Hands the same list on as long as it names the same parts, so that rows need not be drawn again. */
const SortedParts = ({ ids, children }: { ids: string[]; children: ReactNode }) => {
  const key = ids.join(' ');
  const items = useMemo(() => key.split(' ').filter((id) => id !== ''), [key]);
  return (
    <SortableContext items={items} strategy={verticalListSortingStrategy}>
      {children}
    </SortableContext>
  );
};

const styles = StyleSheet.create({
  group: { marginTop: 8 },
  nothing: { padding: 16 },
  own: { paddingHorizontal: 16, paddingVertical: 6 },
});

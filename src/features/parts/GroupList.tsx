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
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { formatMoney, type Minor } from '@/core/measure';
import { chosenOption, partLetters, type Group, type Part } from '@/core/project';
import type { Check } from '@/core/takeoff';
import type { OpenProject } from '@/data';
import { Band, Icon, Row, TOUCH, useInk, Words } from '@/ui';
import { CheckWords } from './CheckWords';
import { GroupHardware } from './GroupHardware';
import { measuredWords } from './MeasuredFields';
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

const partsOf = (group: Group): Part[] => chosenOption(group)?.parts ?? [];

/** The parts by group, in an order that is changed by dragging, within a group and between groups. */
export const GroupList = ({ open: { project, run }, costs, checks, chosen, onChoose }: Props) => {
  const letters = partLetters(project);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const move = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    const target = project.groups.find((group) => partsOf(group).some(({ id }) => id === over.id));
    if (!target) return;
    const index = partsOf(target).findIndex(({ id }) => id === over.id);
    run({ type: 'movePart', partId: String(active.id), groupId: target.id, index });
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
        const parts = partsOf(group);
        const ids = [
          ...parts,
          ...(chosenOption(group)?.joints ?? []),
          ...project.extras.filter(({ groupId }) => groupId === group.id),
        ].map(({ id }) => id);
        const sum = ids.reduce((total, id) => total + (costs[id] ?? 0), 0);
        const own = checks.filter(({ id }) => id === group.id);
        return (
          <View key={group.id} role="group" aria-label={group.name} style={styles.group}>
            <Band
              title={group.name}
              note={[groupWords(group), sum > 0 ? formatMoney(sum, project.currency) : '']
                .filter(Boolean)
                .join(' · ')}
              label={`Change group ${group.name}`}
              onPress={() => onChoose({ kind: 'group', id: group.id })}
            />
            <SortableContext items={parts.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
              {parts.map((part) => (
                <PartRow
                  key={part.id}
                  part={part}
                  letter={letters[part.id] ?? ''}
                  words={partWords(part, project.unit)}
                  measured={measuredWords(part, project)}
                  checks={checks.filter(({ id }) => id === part.id)}
                  cost={
                    costs[part.id] === undefined ? null : formatMoney(costs[part.id] ?? 0, project.currency)
                  }
                  isChosen={chosen?.id === part.id}
                  onChoose={() => onChoose({ kind: 'part', id: part.id })}
                />
              ))}
            </SortableContext>
            <GroupHardware
              project={project}
              group={group}
              costs={costs}
              checks={checks}
              chosen={chosen}
              onChoose={onChoose}
            />
            {own.length > 0 ? (
              <Row style={styles.own}>
                <CheckWords checks={own} />
              </Row>
            ) : null}
            {parts.length === 0 ? (
              <Row style={styles.nothing}>
                <Words tone="soft">Nothing in it yet. Add a part in the line above.</Words>
              </Row>
            ) : null}
          </View>
        );
      })}
    </DndContext>
  );
};

interface RowProps {
  part: Part;
  letter: string;
  measured: string;
  checks: Check[];
  words: string;
  cost: string | null;
  isChosen: boolean;
  onChoose: () => void;
}

const PartRow = ({ part, letter, words, measured, checks, cost, isChosen, onChoose }: RowProps) => {
  const ink = useInk();
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, isDragging } = useSortable({
    id: part.id,
  });
  const handle = { ...attributes, ...listeners, 'aria-label': `Move ${part.name}` } as object;
  return (
    <View
      ref={setNodeRef as unknown as React.Ref<View>}
      style={[
        styles.line,
        { backgroundColor: ink.card, borderColor: ink.hairline },
        transform && { transform: [{ translateY: transform.y }] },
        isDragging && [styles.dragged, { borderColor: ink.spruce }],
      ]}
    >
      <View ref={setActivatorNodeRef as unknown as React.Ref<View>} {...handle} style={styles.handle}>
        <Icon name="grip" color={ink.soft} size={18} />
      </View>
      <Row
        onPress={onChoose}
        label={`Change ${part.quantity} ${part.name}, ${words}`}
        isChosen={isChosen}
        style={styles.row}
      >
        <View style={styles.inside}>
          <Words size="strong" align="right" style={styles.quantity}>
            {part.quantity} ×
          </Words>
          <View style={styles.middle}>
            <Words numberOfLines={1}>
              {letter === '' ? '' : `${letter} `}
              {part.name}
            </Words>
            <Words size="small" tone="soft">
              {words}
            </Words>
            {measured ? <Words size="small">{measured}</Words> : null}
            <CheckWords checks={checks} />
          </View>
          {cost ? <Words size="strong">{cost}</Words> : null}
        </View>
      </Row>
    </View>
  );
};

const styles = StyleSheet.create({
  group: { marginTop: 8 },
  line: { flexDirection: 'row', borderBottomWidth: 1 },
  dragged: { zIndex: 2, borderTopWidth: 1 },
  handle: {
    width: TOUCH,
    minHeight: TOUCH,
    alignItems: 'center',
    justifyContent: 'center',
    touchAction: 'none',
    cursor: 'grab',
  } as object,
  row: { flex: 1, borderBottomWidth: 0, paddingVertical: 8, paddingRight: 16 },
  inside: { flexDirection: 'row', alignItems: 'center', gap: 10 },
  quantity: { minWidth: 40 },
  middle: { flex: 1 },
  nothing: { padding: 16 },
  own: { paddingHorizontal: 16, paddingVertical: 6 },
});

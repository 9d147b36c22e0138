import { useMemo } from 'react';
import { View } from 'react-native';
import type { RunLine } from '@/core/budget';
import { unfitInPlan } from '@/core/compare/fit';
import { capital } from '@/core/capital';
import { nameKey } from '@/core/lumber';
import { shownPlan, type Plan } from '@/core/plan';
import type { Book, Project } from '@/core/project';
import type { Pending, PlannedProject } from '@/hooks';
import { SectionHeader } from '@/ui';
import { RunRow } from './RunRow';

/** What is to take, aisle by aisle; an aisle can be moved up. */
export const Lines = ({
  lines,
  open: { project, book, plan, dispatch },
  storeId,
  pending,
  onTick,
  onOpen,
}: {
  lines: RunLine[];
  open: PlannedProject;
  storeId: string;
  pending: Pending;
  onTick: (line: RunLine) => void;
  onOpen: (line: RunLine) => void;
}) => {
  const unfit = useMemo(() => unfitWords(project, book, plan), [project, book, plan]);
  return lines.map((line, index) => {
    const before = lines[index - 1]?.category;
    const earlier = before && {
      note: 'move up',
      label: `${AISLES[line.category]}: move up, before ${AISLES[before].toLowerCase()}`,
      onPress: () =>
        dispatch({
          type: 'moveAisle',
          storeId,
          category: line.category,
          before,
        }),
    };
    return (
      <View key={line.key}>
        {line.category === before ? null : <SectionHeader title={AISLES[line.category]} {...earlier} />}
        <RunRow
          line={line}
          project={project}
          book={book}
          warning={unfit.get(nameKey(line.item.material)) ?? ''}
          isTaken={pending.has(line.key)}
          onTick={() => onTick(line)}
          onOpen={() => onOpen(line)}
        />
      </View>
    );
  });
};

const AISLES: Record<RunLine['category'], string> = {
  wood: 'Boards',
  sheets: 'Sheets',
  hardware: 'Hardware',
  finish: 'Finish',
  consumables: 'Used up in building',
  tools: 'Tools',
  trips: 'Trips',
  other: 'Other',
};

/** Why a wood of the plan is not fit for what it is for, by its name. */
const unfitWords = (project: Project, book: Book, plan: Plan): Map<string, string> => {
  const shown = shownPlan(plan);
  const unfit = shown ? unfitInPlan(project, book, shown) : [];
  return new Map(
    unfit.map(({ material, group, sentence }) => [
      nameKey(material),
      `${capital(material)} is not fit for ${group}: ${sentence}`,
    ]),
  );
};

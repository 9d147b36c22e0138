import { useMemo } from 'react';
import { View } from 'react-native';
import type { RunLine } from '@/core/budget';
import type { Pending, PlannedProject } from '@/hooks';
import { SectionHeader } from '@/ui';
import { notesOf } from './lineNotes';
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
  const notes = useMemo(
    () => notesOf(lines, project, book, plan, storeId),
    [lines, project, book, plan, storeId],
  );
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
          notes={notes.get(line.key)}
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

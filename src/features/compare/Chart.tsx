import { useDeferredValue } from 'react';
import { targetOf } from '@/core/budget';
import type { OpenProject } from '@/hooks';
import { Bars } from '@/ui';
import { barsOf, type Column } from './columns';
import { useWoodColors, useWoodLegend } from './woodColors';

const NONE: Column[] = [];

/** What each way comes to at the till, against the target line: its woods at the foot, the rest on top. */
export const Chart = ({
  columns: all,
  open: { project, book },
}: {
  columns: Column[];
  open: OpenProject;
}) => {
  // After the words, which say more.
  const columns = useDeferredValue(all, NONE);
  const colorOf = useWoodColors(book.materials);
  const legend = useWoodLegend(columns, book.materials);
  const bars = columns.map((column) => ({
    letter: column.letter,
    name: column.name,
    isStrong: column.isChosen,
    sum: column.outcome?.atTill ?? null,
    stacks: barsOf(column).map(({ material, sum }) => ({ sum, color: colorOf(material) })),
  }));
  return (
    <Bars
      about="At the till"
      bars={bars}
      legend={legend}
      currency={project.currency}
      target={targetOf(project)}
    />
  );
};

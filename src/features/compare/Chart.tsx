import { useDeferredValue } from 'react';
import { targetOf } from '@/core/budget';
import { familyName, familyOf, materialOf, woodTone, type OwnMaterials, type WoodTone } from '@/core/lumber';
import type { OpenProject } from '@/hooks';
import { Bars, useColors } from '@/ui';
import { barsOf, type Column } from './columns';

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
  const colors = useColors();
  const colorOf = (material: string | null) =>
    material === null ? colors.faint : colors.wood[woodTone(material, book.materials)];
  const bars = columns.map((column) => ({
    letter: column.letter,
    name: column.name,
    isStrong: column.isChosen,
    sum: column.outcome?.atTill ?? null,
    stacks: barsOf(column).map(({ material, sum }) => ({ sum, color: colorOf(material) })),
  }));
  const legend = [
    ...tonesOf(columns, book.materials).map(({ tone, word }) => ({ color: colors.wood[tone], word })),
    { color: colors.faint, word: 'hardware, finish, trips' },
  ];
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

/** The tones of the bars, each once, with the kinds of wood it stands for. */
const tonesOf = (columns: Column[], own: OwnMaterials | undefined): { tone: WoodTone; word: string }[] => {
  const tones = new Map<WoodTone, Set<string>>();
  for (const { material } of columns.flatMap(barsOf)) {
    if (material === null) continue;
    const tone = woodTone(material, own);
    tones.set(tone, (tones.get(tone) ?? new Set()).add(familyName(familyOf(materialOf(material, own)))));
  }
  return [...tones].map(([tone, words]) => ({ tone, word: [...words].join(', ') }));
};

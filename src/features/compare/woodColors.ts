import { familyName, familyOf, materialOf, woodTone, type OwnMaterials, type WoodTone } from '@/core/lumber';
import { useColors } from '@/ui';
import { barsOf, type Column } from './columns';

/** The colours of what ways are made of, and what each stands for. `own`: what the user says of materials. */
export const useWoodColors = (
  columns: Column[],
  own?: OwnMaterials,
): { colorOf: (material: string | null) => string; legend: { color: string; word: string }[] } => {
  const colors = useColors();
  return {
    colorOf: (material) => (material === null ? colors.faint : colors.wood[woodTone(material, own)]),
    legend: [
      ...tonesOf(columns, own).map(({ tone, word }) => ({ color: colors.wood[tone], word })),
      { color: colors.faint, word: 'hardware, finish, trips' },
    ],
  };
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

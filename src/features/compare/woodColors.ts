import { familyName, familyOf, materialOf, woodTone, type OwnMaterials, type WoodTone } from '@/core/lumber';
import { useColors } from '@/ui';
import { barsOf, type Column } from './columns';

/** The colour of a material in the bars of ways, null being all that is no wood. `own`: what the user says of materials. */
export const useWoodColors = (own: OwnMaterials | undefined): ((material: string | null) => string) => {
  const colors = useColors();
  return (material) => (material === null ? colors.faint : colors.wood[woodTone(material, own)]);
};

/** What each colour in the bars of ways stands for. */
export const useWoodLegend = (
  columns: Column[],
  own: OwnMaterials | undefined,
): { color: string; word: string }[] => {
  const colors = useColors();
  return [
    ...tonesOf(columns, own).map(({ tone, word }) => ({ color: colors.wood[tone], word })),
    { color: colors.faint, word: 'hardware, finish, trips' },
  ];
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

import { formatLength, type LengthUnit } from '@/core/units';
import { describeEnds, parseEnds, parseSection, describeSection } from '@/core/lumber';
import { fitOverOf, type Exposure, type Group, type Part } from '@/core/project';
import { shapeWords } from '@/core/project/shapeText';

/** Where a group may stand, in words. */
export const EXPOSURES: { value: Exposure; label: string }[] = [
  { value: 'indoors', label: 'Indoors' },
  { value: 'damp', label: 'Indoors, damp' },
  { value: 'outdoors', label: 'Outdoors' },
  { value: 'ground', label: 'Ground contact' },
];

/** The sizes of a part in a line: `2x4 · 31 1/2" · both ends 45° inward`. */
export const partWords = (part: Omit<Part, 'id'>, unit: LengthUnit): string => {
  if (part.kind === 'hardware') return part.item || 'hardware';
  const length = part.length ? formatLength(part.length.ticks, unit) : 'no length';
  const ends = parseEnds(part.ends);
  const size =
    part.kind === 'sheet' && part.width ? `${length} x ${formatLength(part.width.ticks, unit)}` : length;
  return [
    part.section || 'no section',
    size,
    ends.ok && ends.value.shape !== 'square' ? describeEnds(ends.value) : '',
    shapeWords(part, widthOf(part, unit), unit),
    fitOverOf(part) > 0 ? 'cut to fit' : '',
    part.grain === 'length' ? 'grain along the length' : '',
    part.materials.join(' or '),
  ]
    .filter((word) => word !== '')
    .join(' · ');
};

const widthOf = ({ kind, section, width }: Omit<Part, 'id'>, unit: LengthUnit): number => {
  const read = kind === 'board' ? parseSection(section, unit) : null;
  return read?.ok ? read.value.width : (width?.ticks ?? 0);
};

/** The same with the section's actual size, to read back what was typed. */
export const readBack = (part: Omit<Part, 'id'>, unit: LengthUnit, group: string): string => {
  const section = part.kind === 'board' ? parseSection(part.section, unit) : null;
  const words = partWords(part, unit);
  const sizes = section?.ok ? words.replace(part.section, describeSection(section.value, unit)) : words;
  const kind = part.kind === 'sheet' ? 'from a sheet · ' : part.kind === 'hardware' ? 'hardware · ' : '';
  return `${part.quantity} × ${part.name} · ${kind}${part.kind === 'hardware' ? '' : `${sizes} · `}in ${group}`;
};

/** What a group is made of and where it stands. */
export const groupWords = (group: Group): string => {
  const exposure = EXPOSURES.find(({ value }) => value === group.exposure)?.label.toLowerCase() ?? '';
  return [
    ...(group.isLater ? ['for another time'] : []),
    ...(group.copies && group.copies > 1 ? [`${group.copies} of these`] : []),
    ...(group.materials.length > 0 ? [group.materials.join(' or ')] : []),
    exposure,
    ...(group.nearFood ? ['near food'] : []),
  ].join(' · ');
};

/** The name of a measure as people read it: `largest gap`. In a formula it is written `largest_gap`. */
export const measureWords = ({ name }: { name: string }): string => name.replaceAll('_', ' ');

import { formatLength, type Ticks } from '../measure';
import {
  describeEnds,
  nameKey,
  parseEnds,
  parseSection,
  parseThickness,
  shortestLength,
  SQUARE,
  type Ends,
  type Section,
} from '../wood';
import type { Group, Option, Part, Project } from './types';
import type { Problem } from '../result';

/** A part with everything worked out: sizes in ticks, counts for all that is built, materials it may be of. */
export interface ResolvedPart {
  id: string;
  name: string;
  group: string;
  groupId: string;
  kind: Part['kind'];
  /** For all `builds`. */
  count: number;
  /** Boards only. */
  section: Section | null;
  /** Sheets only: trade thickness. */
  thickness: Ticks;
  length: Ticks;
  width: Ticks;
  ends: Ends;
  grain: Part['grain'];
  shortOk: Ticks;
  /** Empty: any. */
  materials: string[];
  /** Hardware only. */
  item: string;
}

export interface Resolved {
  parts: ResolvedPart[];
  /** What could not be worked out, by part; such a part is left out of `parts`. */
  problems: (Problem & { partId: string })[];
}

/** The option of a group that is made. */
export const chosenOption = (group: Group): Option | undefined =>
  group.options.find((option) => option.id === group.chosen) ?? group.options[0];

/** Every part of the chosen options, worked out. Pure and total. */
export const resolve = (project: Project): Resolved => {
  const resolved: Resolved = { parts: [], problems: [] };
  for (const group of project.groups)
    for (const part of chosenOption(group)?.parts ?? []) {
      const answer = resolvePart(part, group, project);
      if ('sentence' in answer) resolved.problems.push({ ...answer, partId: part.id });
      else resolved.parts.push(answer);
    }
  return resolved;
};

const resolvePart = (part: Part, group: Group, project: Project): ResolvedPart | Problem => {
  const place = `${group.name} / ${part.name}`;
  const fault = (code: string, sentence: string): Problem => ({ code, place, sentence });
  const base: ResolvedPart = {
    id: part.id,
    name: part.name,
    group: group.name,
    groupId: group.id,
    kind: part.kind,
    count: part.quantity * project.builds,
    section: null,
    thickness: 0,
    length: part.length?.ticks ?? 0,
    width: part.width?.ticks ?? 0,
    ends: SQUARE,
    grain: part.grain,
    shortOk: (part.shortOk ?? project.settings.shortOk).ticks,
    materials: part.kind === 'hardware' ? [] : part.materials.length > 0 ? part.materials : group.materials,
    item: part.item.trim() === '' ? part.name : part.item,
  };
  if (part.kind === 'hardware') return base;
  if (base.length <= 0) return fault('length', `${part.name} has no length; give it one.`);
  if (part.kind === 'sheet') {
    const thickness = parseThickness(part.section, project.unit);
    if (!thickness.ok) return fault('section', thickness.problems[0]?.sentence ?? '');
    if (base.width <= 0)
      return fault('width', `${part.name} is cut from a sheet and has no width; give it one.`);
    return { ...base, thickness: thickness.value };
  }
  const section = parseSection(part.section, project.unit);
  if (!section.ok) return fault('section', section.problems[0]?.sentence ?? '');
  const ends = parseEnds(part.ends);
  if (!ends.ok) return fault('ends', ends.problems[0]?.sentence ?? '');
  const shortest = shortestLength(ends.value, section.value.thickness, section.value.width);
  if (base.length < shortest)
    return fault(
      'ends',
      `${part.name} is too short for its ends, ${describeEnds(ends.value)}: they need ${formatLength(shortest, project.unit)} at least.`,
    );
  return {
    ...base,
    section: section.value,
    thickness: section.value.thickness,
    width: section.value.width,
    ends: ends.value,
  };
};

/** Whether a thing of `material` will do for a part that allows `materials`. */
export const allows = (materials: string[], material: string): boolean =>
  materials.length === 0 || materials.some((name) => nameKey(name) === nameKey(material));

import type { Offer } from '../pricing';
import {
  chosenOption,
  copyOption,
  type Group,
  type Option,
  type Project,
  type ProjectChange,
} from '../project';
import { buildMade, helperOf, toldBefore } from '../takeoff';
import { parseSection, type Section } from '../lumber';

/** The same job in another section: thicker for thinner, boards for pickets. */
export interface OtherSection {
  from: string;
  to: string;
  changes: ProjectChange[];
}

/** So much narrower, wider, thinner or thicker may another section be. */
const WIDTHS = { least: 0.6, most: 1.7 };
const THICKNESSES = { least: 0.75, most: 2 };

/**
 * Other sections on sale that a group could be made in, each as an option of its own: by its helper, which counts and
 * spaces anew, or where it was made by hand by giving its parts another section of the same width.
 */
export const otherSections = (group: Group, project: Project, offers: Offer[]): OtherSection[] => {
  const option = chosenOption(group);
  if (!option) return [];
  const sections = new Map<string, Section>();
  for (const { item } of offers) {
    const read = item.kind === 'board' ? parseSection(item.section, project.unit) : null;
    if (read?.ok) sections.set(`${read.value.thickness}x${read.value.width}`, read.value);
  }
  const used = [
    ...new Set(option.parts.filter(({ kind }) => kind === 'board').map(({ section }) => section)),
  ];
  return used.flatMap((name) => {
    const from = parseSection(name, project.unit);
    if (!from.ok) return [];
    return [...sections.values()].flatMap((to) => {
      const isNear = isNearSection(to, from.value);
      const isSame = to.width === from.value.width && to.thickness === from.value.thickness;
      const made = isNear && !isSame ? madeIn(to, from.value, option, group, project) : null;
      const isThere = group.options.some(({ id }) => id === idIn(option.id, to.name));
      return made && !isThere
        ? [{ from: from.value.name, to: to.name, changes: asOption(made, group, to.name) }]
        : [];
    });
  });
};

/** Whether one section might do for another: neither much wider or narrower, nor much thicker or thinner. */
export const isNearSection = (to: Sides, from: Sides): boolean =>
  within(to.width / from.width, WIDTHS) && within(to.thickness / from.thickness, THICKNESSES);

type Sides = Pick<Section, 'thickness' | 'width'>;

const within = (share: number, { least, most }: { least: number; most: number }): boolean =>
  share >= least && share <= most;

/** The id of a copy in another section: the same proposal always has the same, and copies of copies stay short. */
const idIn = (id: string, section: string): string => `${stem(id)}:${section}`;
const stem = (id: string): string => id.split(':')[0] ?? id;

const asOption = (option: Option, group: Group, section: string): ProjectChange[] => {
  const copy = copyOption(option, `In ${section}`, (id) => idIn(id, section));
  return [
    { type: 'putOption', groupId: group.id, option: copy },
    { type: 'chooseOption', groupId: group.id, optionId: copy.id },
  ];
};

const madeIn = (
  to: Section,
  from: Section,
  option: Option,
  group: Group,
  project: Project,
): Option | null => {
  const helper = helperOf(option.made?.helper ?? '');
  const isFrom = (text: string) => {
    const read = parseSection(text, project.unit);
    return read.ok && read.value.thickness === from.thickness && read.value.width === from.width;
  };
  if (!helper) {
    if (to.width !== from.width) return null;
    return {
      ...option,
      parts: option.parts.map((part) =>
        part.kind === 'board' && isFrom(part.section) ? { ...part, section: to.name } : part,
      ),
    };
  }
  const told = toldBefore(helper, option, project);
  const asks = helper.asks.filter(({ key, kind }) => kind === 'section' && isFrom(told[key] ?? ''));
  if (asks.length === 0) return null;
  const answers = { ...told, ...Object.fromEntries(asks.map(({ key }) => [key, to.name])) };
  let last = 0;
  const built = buildMade(helper, answers, {
    project,
    groupId: group.id,
    groupName: group.name,
    materials: group.materials,
    newId: () => `${stem(option.id)}-new${++last}`,
  });
  if (!built.ok || built.value.type !== 'remake') return null;
  // Its measures stay as they are: where another section would want others, it is not the same job.
  const isSameMeasures = built.value.variables.every(
    ({ id, formula }) => project.variables.find((held) => held.id === id)?.formula === formula,
  );
  return isSameMeasures ? built.value.option : null;
};

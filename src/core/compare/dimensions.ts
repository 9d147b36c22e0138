import { usableLength } from '../cutting/model';
import { capital } from '../capital';
import { formatLength, fromMm, parseLength, TICKS_PER_INCH, writeLength, type Ticks } from '../units';
import { needsOf, type Need, type Offer } from '../pricing';
import {
  chosenOption,
  isFormula,
  madeNow,
  resolve,
  withChanges,
  type Book,
  type Project,
  type ProjectChange,
  type ResolvedPart,
  type Variable,
  toolsOf,
} from '../project';

/** A dimension that could be a little less, so that one piece more fits on a length that is sold. */
export interface Shorter {
  /** Id of the measure or part. */
  of: string;
  name: string;
  by: Ticks;
  changes: ProjectChange[];
}

/** A measure of its own, or the length or width of a part, and how much each part is shortened by a tick less of it. */
interface Dimension {
  of: string;
  name: string;
  ticks: Ticks;
  change: (text: string) => ProjectChange;
  slopes: Map<string, { length: number; width: number }>;
}

/** No dimension is cut by more than this share, and this much: it must stay the thing that was wanted. */
const MAX_SHARE = 0.06;
const MAX_INCHES = 3;
/** So many steps of each dimension are looked at, the smallest first. */
const MAX_STEPS = 8;
/** Pieces on one board that are added up. */
const MAX_PIECES = 6;
const MAX_KINDS = 5;

/** Dimensions that fall just over a length: each with the least cuts that would let one piece more onto a board or sheet. */
export const shorterDimensions = (project: Project, book: Book, offers: Offer[]): Shorter[] => {
  const { parts } = resolve(project, book.materials);
  const needs = needsOf(parts, offers, toolsOf(project.settings, book));
  return dimensionsOf(project, book, parts).flatMap((dimension) => {
    const most = Math.min(dimension.ticks * MAX_SHARE, MAX_INCHES * TICKS_PER_INCH);
    const steps = needs.flatMap((need) =>
      (need.kind === 'sheet' ? sheetSteps : boardSteps)(need, dimension, project),
    );
    const grid = project.unit === 'in' ? TICKS_PER_INCH / 16 : fromMm(1);
    const rounded = [...new Set(steps.map((step) => Math.ceil(step / grid) * grid))].filter(
      (step) => step > 0 && step <= most,
    );
    return rounded
      .sort((a, b) => a - b)
      .slice(0, MAX_STEPS)
      .map((by): Shorter => ({
        of: dimension.of,
        name: dimension.name,
        by,
        changes: [dimension.change(writeLength(dimension.ticks - by, project.unit))],
      }));
  });
};

/** `Shelf 1 1/4" shorter`. */
export const shorterWords = ({ name, by }: Shorter, { unit }: Project): string =>
  `${name} ${formatLength(by, unit)} shorter`;

/** Plain lengths that parts follow from: measures, and parts' own. */
const dimensionsOf = (project: Project, book: Book, parts: ResolvedPart[]): Dimension[] => {
  const probe = project.unit === 'in' ? TICKS_PER_INCH / 4 : fromMm(5);
  const measures = project.variables.flatMap((variable): Omit<Dimension, 'slopes'>[] => {
    const ticks = variable.kind === 'length' ? parseLength(variable.formula, project.unit) : null;
    if (!ticks?.ok || ticks.value <= probe) return [];
    const change = (formula: string): ProjectChange => ({
      type: 'editVariable',
      variableId: variable.id,
      fields: { formula },
    });
    return [{ of: variable.id, name: nameOf(variable, project), ticks: ticks.value, change }];
  });
  const own = madeNow(project).flatMap((group) =>
    (chosenOption(group)?.parts ?? []).flatMap((part) =>
      (['length', 'width'] as const).flatMap((side): Omit<Dimension, 'slopes'>[] => {
        const measure = part.kind === 'hardware' || part.measured ? null : part[side];
        if (!measure || isFormula(measure.text, project.unit) || measure.ticks <= probe) return [];
        const change = (text: string): ProjectChange => {
          const read = parseLength(text, project.unit);
          return {
            type: 'editPart',
            partId: part.id,
            fields: { [side]: { text, ticks: read.ok ? read.value : measure.ticks } },
          };
        };
        return [{ of: part.id, name: part.name, ticks: measure.ticks, change }];
      }),
    ),
  );
  return [...measures, ...own].flatMap((dimension) => {
    const less = withChanges(project, [dimension.change(writeLength(dimension.ticks - probe, project.unit))]);
    const after = new Map(resolve(less, book.materials).parts.map((part) => [part.id, part]));
    const slopes = new Map(
      parts.flatMap((part) => {
        const other = after.get(part.id);
        if (!other || other.count !== part.count || part.kind === 'hardware') return [];
        const length = (part.length - other.length) / probe;
        const width = part.kind === 'sheet' ? (part.width - other.width) / probe : 0;
        return length > 0 || width > 0 ? [[part.id, { length, width }] as const] : [];
      }),
    );
    return slopes.size > 0 ? [{ ...dimension, slopes }] : [];
  });
};

/** `Wall frames, length`: of a measure that one group was made from, which. */
const nameOf = ({ id, name }: Variable, project: Project): string => {
  const of = project.groups.filter(({ options }) =>
    options.some(({ made }) => Object.values(made?.answers ?? {}).includes(`=${id}`)),
  );
  const words = name.replaceAll('_', ' ');
  const [group] = of;
  const isPlain =
    project.groups.length < 2 || of.length !== 1 || !group || words.startsWith(group.name.toLowerCase());
  return isPlain ? capital(words) : `${group.name}, ${words}`;
};

/** By how much less of a dimension some pieces that do not fit on a length would. */
const boardSteps = (need: Need, { slopes }: Dimension, { settings }: Project): Ticks[] => {
  const kinds = [
    ...new Map(
      need.parts.map((part) => [`${part.length}:${slopes.get(part.id)?.length ?? 0}`, part]),
    ).values(),
  ].slice(0, MAX_KINDS);
  if (!kinds.some(({ id }) => slopes.has(id))) return [];
  const lengths = [
    ...new Set(
      [...need.offers, ...need.ripped].map((offer) => usableLength(offer) - 2 * settings.endTrim.ticks),
    ),
  ];
  const longest = Math.max(0, ...lengths);
  const steps: Ticks[] = [];
  // Every handful of pieces, with repeats: how far it is over each length, by how much it gives.
  const add = (from: number, count: number, total: Ticks, slope: number): void => {
    for (const length of lengths) if (total > length && slope > 0) steps.push((total - length) / slope);
    if (count === MAX_PIECES || total > longest * 1.1) return;
    kinds.slice(from).forEach((part, index) => {
      const next = total + (count === 0 ? 0 : settings.kerf.ticks) + part.length - part.shortOk;
      add(from + index, count + 1, next, slope + (slopes.get(part.id)?.length ?? 0));
    });
  };
  add(0, 0, 0, 0);
  return steps;
};

/** The same across a sheet: one piece more of the same part along either side of it. */
const sheetSteps = (need: Need, { slopes }: Dimension, { settings }: Project): Ticks[] => {
  const { kerf, sheetTrim } = settings;
  const sides = [...new Set(need.offers.flatMap(({ length, width }) => [length, width]))].map(
    (side) => side - 2 * sheetTrim.ticks,
  );
  return need.parts.flatMap((part) => {
    const slope = slopes.get(part.id);
    if (!slope) return [];
    const along = [
      { size: part.length - part.shortOk, by: slope.length },
      { size: part.width - part.shortOk, by: slope.width },
    ].filter(({ by }) => by > 0);
    return along.flatMap(({ size, by }) =>
      sides.map((side) => {
        const pieces = Math.floor((side + kerf.ticks) / (size + kerf.ticks)) + 1;
        return (size - ((side + kerf.ticks) / pieces - kerf.ticks)) / by;
      }),
    );
  });
};

import { toMm } from '../units';
import { heaviestCarried } from '../takeoff';
import { shownPlan, sidesOf, thicknessOf, type Layout, type Plan } from '../plan';
import { chosenOption, madeNow, type Book, type Project } from '../project';
import { carriesPeople, isTreated, materialOf, standsByHeat, type HazardContext } from '../lumber';

/** Longer than this does not lie in most cars, in millimetres: rule of thumb (8 ft). */
const LONG = 2440;

/** What of a project and its plan a caution may be about. */
export const hazardContext = (project: Project, book: Book, plan: Plan | null): HazardContext => {
  const shown = shownPlan(plan);
  const layouts = shown?.layouts ?? [];
  const treated = layouts.some(({ material }) => isTreated(material, book.materials));
  const strips = layouts
    .filter(({ kind, cuts }) => kind === 'board' && cuts.some((cut) => cut.kind === 'rip'))
    .flatMap(({ pieces, width }) =>
      pieces.map(({ outline }) => sidesOf(outline).across).filter((across) => across < width),
    );
  const names = [project.name, project.note, ...madeNow(project).map(({ name }) => name)];
  return {
    treated,
    nearFood: madeNow(project).some(({ nearFood }) => nearFood),
    fibreboard: layouts.some(({ material }) => materialOf(material, book.materials).panel?.endsWith('board')),
    rips: strips.length > 0,
    narrowestStrip: strips.length > 0 ? toMm(Math.min(...strips)) : null,
    saws: layouts.length > 0,
    heaviest: heaviestCarried(layouts.map(whole), book.materials)?.kilograms ?? 0,
    large: (shown?.buys ?? []).some(
      ({ kind, length, width }) => (kind === 'sheet' && toMm(width) > 1200) || toMm(length) > LONG,
    ),
    tall: tallest(project),
    carriesPeople: carriesPeople(names),
    nearHeat: standsByHeat(names),
  };
};

const whole = (layout: Layout) => ({ ...layout, name: layout.section, thickness: thicknessOf(layout) });

/** Words for what stands upright. */
const UPRIGHT = /upright|side|stile|post|leg|stud|gable/i;

/** How tall it stands indoors, in millimetres, by its longest upright part; zero outdoors. */
const tallest = (project: Project): number =>
  Math.max(
    0,
    ...madeNow(project)
      .filter(({ exposure }) => exposure === 'indoors' || exposure === 'damp')
      .flatMap((group) => chosenOption(group)?.parts ?? [])
      .filter(({ name, kind, role = '' }) => kind !== 'hardware' && UPRIGHT.test(`${name} ${role}`))
      .map(({ length }) => toMm(length?.ticks ?? 0)),
  );

import { toMm } from '../units';
import { heaviestCarried } from '../takeoff';
import { shownPlan, sidesOf, thicknessOf, type Layout, type Plan } from '../plan';
import { chosenOption, madeNow, type Book, type Part, type Project } from '../project';
import {
  carriesPeople,
  isFibreboard,
  isTreated,
  materialOf,
  standsByHeat,
  type HazardContext,
} from '../lumber';

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
    fibreboard: layouts.some(({ material }) => isFibreboard(materialOf(material, book.materials).panel)),
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

/** Words for what stands upright, for what lies, and for what closes a side. */
const UPRIGHT = /upright|side|stile|post|leg|stud|gable/i;
const LYING = /rail|apron|slat|batten|shel(?:f|ves)|top|bottom|seat|floor|bearer/i;
const CLOSING = /back|door|panel|lid/i;
/** What is at least so many times as tall as it is deep tips: rule of thumb. */
const SHALLOW = 2.5;

/** How tall it stands indoors, in millimetres, by its longest upright part; zero outdoors, on a broad foot, and where its depth is not known. */
const tallest = (project: Project): number => {
  const parts = madeNow(project)
    .filter(({ exposure }) => exposure === 'indoors' || exposure === 'damp')
    .flatMap((group) => chosenOption(group)?.parts ?? [])
    .filter(({ kind }) => kind !== 'hardware');
  const called = ({ name, role = '' }: Part) => `${name} ${role}`;
  const isUpright = (part: Part) => UPRIGHT.test(called(part)) && !LYING.test(called(part));
  const mm = (measure: Part['length']) => toMm(measure?.ticks ?? 0);
  const height = Math.max(0, ...parts.filter(isUpright).map(({ length }) => mm(length)));
  const lying = parts.filter((part) => !isUpright(part) && !CLOSING.test(called(part)));
  const depth = depthOf(lying.flatMap(({ length, width }) => [mm(length), mm(width)]));
  return depth > 0 && height >= SHALLOW * depth ? height : 0;
};

/** How deep it is: of the measures of what lies in it the longest that is clearly less than the longest; zero: not known. */
const depthOf = (measures: number[]): number => {
  const longest = Math.max(0, ...measures);
  return Math.max(0, ...measures.filter((measure) => measure < 0.9 * longest));
};

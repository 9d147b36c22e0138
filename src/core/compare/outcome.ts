import {
  inThePieceOfAll,
  projectMoney,
  toolsToBuy,
  typedPriceLines,
  type ProjectMoney,
  type TypedPriceLine,
} from '../budget';
import { hardwareKey } from '../hardwareKey';
import { cubicMm, formatArea, type Minor, type SquareMm, type Ticks } from '../units';
import { faceOf, shownPlan, thicknessOf, usefulOffcuts, type Layout, type Plan } from '../plan';
import {
  isLeftForLater,
  keptMoney,
  perAmount,
  resolve,
  surfaceFor,
  type Book,
  type Project,
} from '../project';
import {
  isCoated,
  lifeOf,
  materialOf,
  nameKey,
  renewals,
  woodWeight,
  type Fitness,
  type Life,
} from '../lumber';
import { fitnessOfMade, isFinished } from './fit';
import { madeOf, type Made } from './made';
import { wantsOf, type Want } from './wants';

/** What one way to do a project comes to: what a comparison shows of it. */
export interface Outcome {
  money: ProjectMoney;
  /** What leaves the pocket, what has left it included. */
  atTill: Minor;
  /** Of that, by what the project's cost is divided by; null: by nothing, or by what cannot be worked out. */
  perUnit: Minor | null;
  /** Shares of boards, sheets and packs that are used up. */
  inPiece: Minor;
  /** Boards and sheets. */
  wood: Minor;
  finish: Minor;
  /** Tools among what is to buy. */
  toolsToBuy: Minor;
  /** What something of it demands and is not among what is bought. */
  wants: Want[];
  hardware: Minor;
  /** Steel that it demands: coated where it is damp, outdoors, or the wood is treated. */
  steel: '' | 'coated';
  /** Trips and shipping. */
  trips: Minor;
  /** Finished parts, in kilograms. */
  weight: number;
  /** Boards and sheets to carry home. */
  boards: number;
  /** Years until something must be replaced: a range, by rule of thumb; null: there is no wood. */
  life: Life | null;
  /** What it costs with its upkeep, by year of expected life: the least and the most. */
  perYear: { low: Minor; high: Minor } | null;
  /** Outdoors its finish is put on again within that life, and is in the cost per year as often. */
  isRenewed: boolean;
  fit: Fitness;
  /** What must be done to the wood before it is cut, or after. */
  preparation: string[];
  stores: string[];
  /** What is left over and of use: pieces, and how long they are together. */
  offcuts: { count: number; length: Ticks };
  /** Names of its groups that are left for another time, and are in no sum of it. */
  notYet: string[];
  /** Of what it is made, by how much money goes into it, in minor units. */
  byMaterial: { material: string; paid: Minor }[];
}

/** What a plan of a project comes to; null while there is none, or where nothing can be made. */
export const outcomeOf = (project: Project, book: Book, plan: Plan | null): Outcome | null => {
  const shown = shownPlan(plan);
  if (!plan || !shown) return null;
  const money = projectMoney(project, book, plan);
  const made = madeOf(project, book, shown);
  const bought = boughtOf(project, shown);
  const finishes = finishItems(project);
  const of = (kinds: string[]): Minor =>
    bought.filter(({ kind }) => kinds.includes(kind)).reduce((sum, { paid }) => sum + paid, 0);
  const wood = of(['board', 'sheet']);
  const typed = typedPriceLines(project, book);
  const coated = finishLines(bought, typed, finishes);
  const finish = coated.reduce((sum, { paid }) => sum + paid, 0);
  const isOutside = made.some(({ group: { exposure } }) => exposure === 'outdoors' || exposure === 'ground');
  const coats = isOutside ? coated : [];
  const kept = (years: number): Minor =>
    Math.round(
      (money.total + coats.reduce((sum, { name, paid }) => sum + paid * renewals(name, years), 0)) / years,
    );
  const hardware = of(['hardware']) + typed.reduce((sum, { costWithTax }) => sum + costWithTax, 0) - finish;
  const life = lifeOfMade(made, project, book);
  const offcuts = shown.layouts.flatMap(({ count, offcuts: left }) =>
    usefulOffcuts(left).map((offcut) => ({ count, length: Math.max(offcut.length, offcut.width) })),
  );
  return {
    money,
    atTill: money.total,
    perUnit: perUnitOf(project, money.total),
    inPiece: inThePieceOfAll(project, shown, book),
    wood,
    finish,
    toolsToBuy: toolsToBuy(project, book, plan),
    wants: wantsOf(made, project, book),
    hardware,
    steel: bought.some(({ kind, name }) => kind === 'hardware' && isCoated(name)) ? 'coated' : '',
    trips: money.total - wood - finish - hardware,
    weight: shown.layouts.reduce((sum, layout) => sum + layout.count * weightOfPieces(layout, book), 0),
    boards: shown.buys
      .filter(({ kind }) => kind !== 'hardware')
      .reduce((sum, { qty, pack }) => sum + qty * pack, 0),
    life,
    perYear: life && {
      low: Math.min(kept(life.high), kept(life.low)),
      high: Math.max(kept(life.high), kept(life.low)),
    },
    isRenewed: life !== null && coats.some(({ name }) => renewals(name, life.high) > 0),
    fit: fitnessOfMade(made, project, book.materials),
    preparation: preparationOf(shown, made, project, book),
    stores: shown.stores.map(({ store }) => store),
    offcuts: {
      count: offcuts.reduce((sum, { count }) => sum + count, 0),
      length: offcuts.reduce((sum, { count, length }) => sum + count * length, 0),
    },
    notYet: project.groups.filter(isLeftForLater).map(({ name }) => name),
    byMaterial: byMaterial(bought),
  };
};

/** A sum for all that is built, divided by what the project names. */
const perUnitOf = (project: Project, sum: Minor): Minor | null => {
  const amount = project.per ? perAmount(project, project.per) : null;
  return amount?.ok ? Math.round(sum / project.builds / amount.value) : null;
};

interface Bought {
  kind: string;
  name: string;
  material: string;
  paid: Minor;
}

/** What is to buy and what was bought, each with what it costs with tax. */
const boughtOf = (project: Project, plan: Plan): Bought[] => [
  ...plan.buys.map(({ kind, item, material, costWithTax }) => ({
    kind,
    name: item,
    material,
    paid: costWithTax,
  })),
  ...project.purchases.flatMap(({ lines }) =>
    lines.map((line) => ({
      kind: line.item.kind,
      name: line.item.name,
      material: line.item.material,
      paid: keptMoney(line),
    })),
  ),
];

/** What is paid for each finish. */
const finishLines = (
  bought: Bought[],
  typed: TypedPriceLine[],
  finishes: ReadonlySet<string>,
): { name: string; paid: Minor }[] => [
  ...bought.filter(({ kind, name }) => kind === 'hardware' && finishes.has(hardwareKey(name))),
  ...typed
    .filter(({ item, category }) => category === 'finish' || finishes.has(hardwareKey(item)))
    .map(({ item, costWithTax }) => ({ name: item, paid: costWithTax })),
];

const finishItems = (project: Project): Set<string> =>
  new Set(
    project.extras.filter(({ rule }) => rule === 'finish').map(({ item, name }) => hardwareKey(item || name)),
  );

const byMaterial = (bought: Bought[]): Outcome['byMaterial'] => {
  const sums = new Map<string, { material: string; paid: Minor }>();
  for (const { kind, material, paid } of bought) {
    if (kind === 'hardware') continue;
    const held = sums.get(nameKey(material)) ?? { material, paid: 0 };
    sums.set(nameKey(material), { ...held, paid: held.paid + paid });
  }
  return [...sums.values()].sort((a, b) => b.paid - a.paid);
};

const weightOfPieces = (layout: Layout, book: Book): number => {
  const faces = layout.pieces.reduce(
    (sum, { outline, faces: shaped = [outline] }) =>
      sum + shaped.reduce((all, face) => all + faceOf(face), 0),
    0,
  );
  return woodWeight(cubicMm(faces * thicknessOf(layout)), layout.material, book.materials);
};

/** Until the first of its materials, each in its place, must be replaced. */
const lifeOfMade = (made: Made[], project: Project, book: Book): Life | null => {
  const lives = made.map(({ material, group }) =>
    lifeOf(materialOf(material, book.materials), group.exposure, isFinished(group, project)),
  );
  if (lives.length === 0) return null;
  return lives.reduce((least, life) => (life.low + life.high < least.low + least.high ? life : least));
};

/** Rips, planing, sorting and finishing, each in a few words. */
const preparationOf = (plan: Plan, made: Made[], project: Project, book: Book): string[] => {
  const count = (test: (layout: Layout) => boolean) =>
    plan.layouts.filter(test).reduce((sum, layout) => sum + layout.count, 0);
  const ripped = count(({ kind, cuts }) => kind === 'board' && cuts.some((cut) => cut.kind === 'rip'));
  const rough = plan.buys
    .filter(({ item }) => /from rough/.test(item))
    .reduce((sum, { qty, pack }) => sum + qty * pack, 0);
  const isSorted = made.some(({ material }) => materialOf(material, book.materials).grade === 'stud');
  const area = finishedArea(project, book);
  return [
    ...(ripped > 0 ? [`rip ${ripped} ${ripped === 1 ? 'board' : 'boards'}`] : []),
    ...(rough > 0 ? [`plane ${rough} rough ${rough === 1 ? 'board' : 'boards'}`] : []),
    ...(isSorted ? ['sort for straight studs'] : []),
    ...(area > 0 ? [`finish ${formatArea(area, project.unit)}`] : []),
  ];
};

const finishedArea = (project: Project, book: Book): SquareMm => {
  const { parts } = resolve(project, book.materials);
  return project.extras
    .filter(({ rule }) => rule === 'finish')
    .reduce((sum, extra) => sum + surfaceFor(extra, project, parts), 0);
};

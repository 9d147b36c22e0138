import { capital } from '../capital';
import { formatLength, formatMoney, fromMm, TICKS_PER_INCH, writeLength } from '../units';
import { planCost, shownPlan, type Plan } from '../plan';
import {
  cutParts,
  madeNow,
  materialsOf,
  withChanges,
  type Book,
  type Group,
  type Project,
  type ProjectChange,
  toolsOf,
} from '../project';
import { canRipWith, differByGrade, gradeRank, materialOf, nameKey, rankOf } from '../lumber';
import { buysDifference, lastsInstead, newTasks, notesOfNew } from './differences';
import { shorterDimensions, shorterWords } from './dimensions';
import { fitnessIn } from './fit';
import { offersFor } from './onSale';
import { outcomeOf } from './outcome';
import { putOff } from './groupProposals';
import { proposalsFor, type Proposal } from './proposals';

/** A project with a plan of it. */
export interface Planned {
  project: Project;
  plan: Plan;
}

/** A change that might make a project cheaper; whether it does, plans tell. */
export interface Candidate {
  kind:
    | 'material'
    | 'grade'
    | 'section'
    | 'ripping'
    | 'store'
    | 'rack'
    | 'shorter'
    | 'short'
    | 'several'
    | 'carry'
    | 'later'
    | 'option';
  /** Candidates of one are steps of the same thing: the one that saves most stands for them. */
  of: string;
  title: string;
  /** What it takes or gives up, in one sentence, from the plans before and after. */
  tradeOff: (before: Planned, after: Planned) => string;
  changes: ProjectChange[];
}

/** Everything that might make a project cheaper and is still what was wanted: nothing that is not fit is among it. */
export const candidatesFor = (project: Project, book: Book): Candidate[] => [
  ...fromProposals(project, book),
  ...shorter(project, book),
  ...aLittleShort(project),
  ...carried(project),
  ...fromRack(project, book),
  ...several(project),
  ...later(project),
];

const fromProposals = (project: Project, book: Book): Candidate[] =>
  proposalsFor(project, book, null).flatMap((proposal): Candidate[] => {
    const { id, name, changes } = proposal;
    const made = withChanges(project, changes);
    const kind = kindOf(proposal, project, made, book);
    if (kind === null || !isAsFit(made, project, book)) return [];
    const title = id === 'ripping' ? 'Rip narrow boards from wider ones' : name;
    return [{ kind, of: `${kind}:${id}`, title, changes, tradeOff: catchOf(kind, book) }];
  });

const kindOf = (
  { kind }: Proposal,
  project: Project,
  made: Project,
  book: Book,
): Candidate['kind'] | null => {
  // A store less never saves, the plan would do without it by itself; the rack, and groups that can wait, are told in words of
  // their own.
  if (kind === 'fewer stores' || kind === 'rack' || kind === 'with' || kind === 'without') return null;
  return kind === 'material' && isCheaperGrade(project, made, book) ? 'grade' : kind;
};

/** The materials of the parts of a group, by part. */
const materialsIn = (group: Group): Map<string, string[]> =>
  new Map(cutParts(group).map((part) => [part.id, materialsOf(part, group)]));

/** Whether all that becomes other wood becomes a cheaper grade of the same. */
const isCheaperGrade = (project: Project, made: Project, book: Book): boolean => {
  const pairs = made.groups.flatMap((group) => {
    const before = project.groups.find(({ id }) => id === group.id);
    const held = before ? materialsIn(before) : new Map<string, string[]>();
    return [...materialsIn(group)].flatMap(([id, [to]]) => {
      const [from] = held.get(id) ?? [];
      return from !== undefined && to !== undefined && nameKey(from) !== nameKey(to)
        ? [[from, to] as const]
        : [];
    });
  });
  return (
    pairs.length > 0 &&
    pairs.every(([from, to]) => {
      const [was, is] = [materialOf(from, book.materials), materialOf(to, book.materials)];
      return differByGrade(was, is) && gradeRank(is) < gradeRank(was);
    })
  );
};

/** Whether each group is of something as fit as before, or fit with a finish. */
const isAsFit = (made: Project, project: Project, book: Book): boolean => {
  const worst = (group: Group, of: Project) =>
    Math.max(
      0,
      ...[...materialsIn(group).values()]
        .flat()
        .map((name) => rankOf(fitnessIn(name, group, of, book.materials).verdict)),
    );
  return madeNow(made).every((group) => {
    const before = project.groups.find(({ id }) => id === group.id);
    return worst(group, made) <= Math.max(rankOf('finish'), before ? worst(before, project) : 0);
  });
};

const catchOf =
  (kind: Candidate['kind'], book: Book) =>
  (before: Planned, after: Planned): string => {
    const [was, is] = [before, after].map(({ project, plan }) => outcomeOf(project, book, plan));
    const spare = shownPlan(after.plan)?.buys.reduce((sum, buy) => sum + buy.spare, 0) ?? 0;
    const sentences = [
      was && is ? lastsInstead(was, is) : '',
      kind === 'material' || kind === 'grade' || kind === 'section'
        ? notesOfNew(before.plan, after.plan, book)
        : '',
      spare > 0 && kind !== 'ripping'
        ? `${spare} spare ${spare === 1 ? 'board is' : 'boards are'} in the price.`
        : '',
      kind === 'ripping' && canRipWith(toolsOf(after.project.settings, book))
        ? `Needs a table saw${canRipWith(toolsOf(before.project.settings, book)) ? '' : ', and the time'}.`
        : '',
      was && is ? newTasks(was, is) : '',
    ].filter((sentence) => sentence !== '');
    return sentences.length > 0 ? sentences.join(' ') : capital(buysDifference(before.plan, after.plan));
  };

const shorter = (project: Project, book: Book): Candidate[] =>
  shorterDimensions(project, book, offersFor(project, book)).map((step) => ({
    kind: 'shorter',
    of: `shorter:${step.of}:${step.name}`,
    title: shorterWords(step, project),
    changes: step.changes,
    tradeOff: (before, after) =>
      `${capital(buysDifference(before.plan, after.plan))} See that it still fits.`,
  }));

/** So much may a piece come out short of what was asked without harm: common practice. */
const A_LITTLE = { in: TICKS_PER_INCH / 16, mm: fromMm(1.5) };

const aLittleShort = (project: Project): Candidate[] => {
  const ticks = A_LITTLE[project.unit];
  if (project.settings.shortOk.ticks >= ticks) return [];
  const text = writeLength(ticks, project.unit);
  return [
    {
      kind: 'short',
      of: 'short',
      title: `Let pieces come out ${formatLength(ticks, project.unit)} short`,
      changes: [{ type: 'editSettings', fields: { shortOk: { text, ticks } } }],
      tradeOff: (_before, { plan }) => {
        const count = shownPlan(plan)?.short.reduce((sum, one) => sum + one.count, 0) ?? 0;
        return `${count} ${count === 1 ? 'piece does' : 'pieces do'}: measure each board before the first cut, most run a little over.`;
      },
    },
  ];
};

/** What the car forbids: longer boards, larger sheets, brought by someone. */
const carried = ({ settings }: Project): Candidate[] =>
  settings.maxCarryLength || settings.maxCarryWidth || settings.maxCarrySheet
    ? [
        {
          kind: 'carry',
          of: 'carry',
          title: 'Lengths that do not fit the car',
          changes: [
            {
              type: 'editSettings',
              fields: { maxCarryLength: null, maxCarryWidth: null, maxCarrySheet: null },
            },
          ],
          tradeOff: (before, after) =>
            `${capital(buysDifference(before.plan, after.plan))} Someone must bring them.`,
        },
      ]
    : [];

/** Offcuts and hardware on the rack, where the project leaves them there. */
const fromRack = (project: Project, book: Book): Candidate[] =>
  project.leavesRack && Object.keys(book.rack ?? {}).length > 0
    ? [
        {
          kind: 'rack',
          of: 'rack',
          title: 'Use what is on the rack',
          changes: [{ type: 'editProject', fields: { leavesRack: false } }],
          tradeOff: (before, after) =>
            `${capital(buysDifference(before.plan, after.plan))} It is then not there for another project.`,
        },
      ]
    : [];

const several = (project: Project): Candidate[] => [
  {
    kind: 'several',
    of: 'several',
    title: project.builds === 1 ? 'Build two at once' : `Build ${project.builds * 2} at once`,
    changes: [{ type: 'editProject', fields: { builds: project.builds * 2 } }],
    tradeOff: (before, after) => {
      const [was, is] = [shownPlan(before.plan), shownPlan(after.plan)];
      const sum = (is ? planCost(is) : 0) - (was ? planCost(was) : 0);
      return `Each costs so much less, and all of them ${formatMoney(sum, project.currency)} more today.`;
    },
  },
];

/** Groups that can wait, where there are several. */
const later = (project: Project): Candidate[] => {
  const groups = madeNow(project);
  if (groups.length < 2) return [];
  return groups.map((group) => {
    const { name, changes } = putOff(group);
    return {
      kind: 'later',
      of: `later:${group.id}`,
      title: name,
      changes,
      tradeOff: () => 'It is not built yet: its cost is put off, not gone.',
    };
  });
};

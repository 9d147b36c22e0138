import { rankOf } from '../lumber';
import { planInput, planKey, shownBeside, type Plan } from '../plan';
import { withChanges, type Book, type Project, type ProjectChange } from '../project';
import type { Minor } from '../units';
import type { PlanWith } from './breakEven';
import { newWork } from './differences';
import { outcomeOf, type Outcome } from './outcome';
import { together } from './proposals';
import type { Saving } from './waysToSave';

/** What a combination gives up against what is chosen, each not below zero; compared in this order. */
export interface GivesUp {
  /** What of it is put off, not saved: what its groups that wait would cost, in minor units. */
  later: Minor;
  /** How many steps it is less fit for its place. */
  fitness: number;
  /** Years that it lasts less, by rule of thumb. */
  life: number;
  /** How many of its measures are smaller, or may come out short. */
  size: number;
  /** Kinds of work that are new, stores more, and what someone else must bring. */
  work: number;
}

/** Ways to save taken together, with a plan of all of them. */
export interface Combination {
  id: string;
  ways: Pick<Saving, 'id' | 'title' | 'tradeOff'>[];
  changes: ProjectChange[];
  plan: Plan;
  /** What the whole comes to then, and how much less that is than now. */
  total: Minor;
  saves: Minor;
  /** What the target leaves; below zero where it is not reached. */
  left: Minor;
  givesUp: GivesUp;
}

/** How a target can be reached. */
export interface UnderTarget {
  target: Minor;
  /** Combinations that reach it, the one that gives up least first; none that another beats in everything. */
  reached: Combination[];
  /** Where none does: the one that comes nearest. */
  nearest: Combination | null;
  /** All combinations that may reach it were planned. */
  isAll: boolean;
}

/** So many combinations are told. */
const MAX_TOLD = 5;
/** Of so many ways, those that save most, and so many at once, combinations are made. */
const MAX_WAYS = 12;
const MAX_TOGETHER = 4;
/** Beside them so many groups that could wait. */
const MAX_LATER = 4;
/** Taken together ways may save more than each alone by this share of what is wanted. */
const MORE_TOGETHER = 0.3;

/** Ways that can be part of a combination: all of what they demand has a price, and they save today. */
export const combinable = (ways: Saving[]): Saving[] => {
  const sorted = ways
    .filter(({ isWhole, isForEach }) => isWhole && !isForEach)
    .sort((a, b) => b.saves - a.saves || (a.id < b.id ? -1 : 1));
  const isLater = ({ kind }: Saving) => kind === 'later';
  return [
    ...sorted.filter((way) => !isLater(way)).slice(0, MAX_WAYS),
    ...sorted.filter(isLater).slice(0, MAX_LATER),
  ];
};

/**
 * Combinations of ways to save that bring a project under its target, each planned anew; told as they are found. `ways` are
 * those of `waysToSave`, against `base`. Those that seem to give up least are planned first, until `isOver`. Nothing is
 * said of a combination that was not planned. Null: there is no target, or it is kept already.
 */
export const underTarget = (
  project: Project,
  book: Book,
  base: Plan,
  ways: Saving[],
  planWith: PlanWith,
  isOver: () => boolean,
  tell: (found: UnderTarget) => void = () => undefined,
): UnderTarget | null => {
  const now = outcomeOf(project, book, base);
  const target = now?.money.target ?? null;
  const left = now?.money.left ?? 0;
  if (!now || target === null || left >= 0) return null;
  const asked = { project, book, base, now, target, over: -left, planWith };
  return new Search(asked, combinable(ways)).run(isOver, tell);
};

interface Asked {
  project: Project;
  book: Book;
  base: Plan;
  /** What it comes to by that plan. */
  now: Outcome;
  target: Minor;
  /** How far it is over the target. */
  over: Minor;
  planWith: PlanWith;
}

class Search {
  private readonly made = new Map<string, Combination | null>();
  private readonly keys = new Map<string, string>();

  constructor(
    private readonly asked: Asked,
    private readonly ways: Saving[],
  ) {}

  run(isOver: () => boolean, tell: (found: UnderTarget) => void): UnderTarget {
    for (const way of this.ways) this.keep([way], this.madeOf([way]), way.plan);
    tell(this.found(false));
    let isAll = true;
    for (const set of this.inTurn()) {
      if (this.isNeedless(set)) continue;
      if (isOver()) {
        isAll = false;
        break;
      }
      if (this.plan(set)) tell(this.found(false));
    }
    if (![...this.made.values()].some((one) => one && one.left >= 0)) this.takeAll(isOver);
    return this.found(isAll);
  }

  /** Sets of two and more that may reach the target: what seems to give up least first, what saves most of equals. */
  private inTurn(): Saving[][] {
    const { over } = this.asked;
    const least = over * (1 - MORE_TOGETHER);
    return subsetsOf(this.ways, MAX_TOGETHER)
      .filter((set) => set.length > 1 && savesOf(set) >= least)
      .map((set) => ({ set, isLikely: savesOf(set) >= over, givesUp: this.guess(set) }))
      .sort(
        (a, b) =>
          Number(b.isLikely) - Number(a.isLikely) ||
          compareGivesUp(a.givesUp, b.givesUp) ||
          savesOf(b.set) - savesOf(a.set),
      )
      .map(({ set }) => set);
  }

  /** What a set seems to give up: each of its ways by itself. */
  private guess(set: Saving[]): GivesUp {
    return set
      .flatMap((way) => this.made.get(idOf([way]))?.givesUp ?? [])
      .reduce(
        (a, b) => ({
          later: a.later + b.later,
          fitness: Math.max(a.fitness, b.fitness),
          life: Math.max(a.life, b.life),
          size: a.size + b.size,
          work: a.work + b.work,
        }),
        NOTHING,
      );
  }

  /** Whether fewer of its ways reach the target already. */
  private isNeedless(set: Saving[]): boolean {
    return subsetsOf(set, set.length - 1).some((part) => (this.made.get(idOf(part))?.left ?? -1) >= 0);
  }

  /** Where nothing reaches it: one way after the other, as long as it gets cheaper. */
  private takeAll(isOver: () => boolean): void {
    let best: Saving[] = [];
    for (const way of this.ways) {
      if (isOver()) return;
      const more = [...best, way];
      this.plan(more);
      const made = this.made.get(idOf(more));
      const held = this.made.get(idOf(best));
      if (made && (best.length === 0 || !held || made.total < held.total)) best = more;
    }
  }

  /** Plans a set, where that was not tried. Whether it is known now, and was not before. */
  private plan(set: Saving[]): boolean {
    const id = idOf(set);
    if (this.made.has(id)) return false;
    this.made.set(id, null);
    if (!this.areApart(set)) return false;
    const made = this.madeOf(set);
    const plan = this.asked.planWith(made.project, this.asked.book);
    return plan !== null && this.keep(set, made, plan);
  }

  /** The project with all of a set, and what that changes. */
  private madeOf(set: Saving[]): { project: Project; changes: ProjectChange[] } {
    const { changes } = together(
      set.map(({ id, title, changes: own }) => ({ id, name: title, changes: own })),
    );
    return { project: withChanges(this.asked.project, changes), changes };
  }

  private keep(set: Saving[], { project, changes }: ReturnType<Search['madeOf']>, plan: Plan): boolean {
    const { book, base, now } = this.asked;
    const after = outcomeOf(project, book, plan);
    if (!shownBeside(plan, base) || !after?.wants.every((want) => now.wants.includes(want))) return false;
    this.made.set(idOf(set), {
      id: idOf(set),
      ways: set.map(({ id, title, tradeOff }) => ({ id, title, tradeOff })),
      changes,
      plan,
      total: after.money.total,
      saves: now.money.total - after.money.total,
      left: after.money.left ?? 0,
      givesUp: givesUpOf(now, after, set),
    });
    return true;
  }

  /** Whether no two of them change the same: in either order both do what they do alone. */
  private areApart(set: Saving[]): boolean {
    return set.every((a, index) =>
      set.slice(index + 1).every((b) => {
        const both = this.keyOf([a, b]);
        return both === this.keyOf([b, a]) && both !== this.keyOf([a]) && both !== this.keyOf([b]);
      }),
    );
  }

  /** What decides the plan of a project with these ways, taken in this order. */
  private keyOf(set: Saving[]): string {
    const id = set.map((way) => way.id).join('\n');
    const key = this.keys.get(id) ?? planKey(planInput(this.madeOf(set).project, this.asked.book));
    this.keys.set(id, key);
    return key;
  }

  private found(isAll: boolean): UnderTarget {
    const all = [...this.made.values()].filter((one) => one !== null);
    const reached = all.filter(({ left }) => left >= 0);
    return {
      target: this.asked.target,
      reached: reached
        .filter((one) => !reached.some((other) => beats(other, one)))
        .sort((a, b) => compareGivesUp(a.givesUp, b.givesUp) || b.left - a.left || (a.id < b.id ? -1 : 1))
        .slice(0, MAX_TOLD),
      nearest:
        reached.length > 0
          ? null
          : all.reduce<Combination | null>((a, b) => (a && a.total <= b.total ? a : b), null),
      isAll,
    };
  }
}

const NOTHING: GivesUp = { later: 0, fitness: 0, life: 0, size: 0, work: 0 };
const ORDER = ['later', 'fitness', 'life', 'size', 'work'] as const;

const compareGivesUp = (a: GivesUp, b: GivesUp): number =>
  ORDER.map((each) => a[each] - b[each]).find((difference) => difference !== 0) ?? 0;

/** Whether one is cheaper than another and gives up nothing more. */
const beats = (one: Combination, other: Combination): boolean =>
  one.total < other.total && ORDER.every((each) => one.givesUp[each] <= other.givesUp[each]);

const givesUpOf = (before: Outcome, after: Outcome, set: Saving[]): GivesUp => {
  const years = ({ life }: Outcome) => (life ? (life.low + life.high) / 2 : 0);
  const count = (kinds: Saving['kind'][]) => set.filter(({ kind }) => kinds.includes(kind)).length;
  return {
    fitness: Math.max(0, rankOf(after.fit.verdict) - rankOf(before.fit.verdict)),
    life: Math.max(0, Math.round(years(before) - years(after))),
    later: savesOf(set.filter(({ kind }) => kind === 'later')),
    size: count(['shorter', 'short']),
    work:
      newWork(before, after).length +
      Math.max(0, after.stores.length - before.stores.length) +
      count(['carry']),
  };
};

const idOf = (set: Saving[]): string =>
  set
    .map(({ id }) => id)
    .sort()
    .join('\n');
const savesOf = (set: Saving[]): Minor => set.reduce((sum, { saves }) => sum + saves, 0);

/** All sets of at least one and at most `most` of a list, in its order. */
const subsetsOf = <T>(list: T[], most: number): T[][] =>
  list.reduce<T[][]>(
    (sets, one) => [...sets, [one], ...sets.filter((set) => set.length < most).map((set) => [...set, one])],
    [],
  );

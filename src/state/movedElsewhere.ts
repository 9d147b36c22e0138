import { projectMoney } from '@/core/budget';
import { formatMoney, type Minor } from '@/core/units';
import type { Plan } from '@/core/plan';
import { bookFor, type Book, type Project } from '@/core/project';
import { planRequest, type PlanRequest } from './planRequest';
import type { Clock } from './writeQueue';

/** What moved of a project that is not on screen. */
interface Moved {
  project: Project;
  /** What it comes to now, and by how much that is more than before. */
  total: Minor;
  by: Minor;
}

/** The projects that are there, and the price book. */
interface State {
  records: Record<string, { project: Project; deletedAt: number | null }>;
  book: { book: Book };
}

interface Options {
  /** What is kept now; null while it is read. */
  state: () => State | null;
  clock: Clock;
  /** The project on screen: what moves there is seen there. */
  openId: () => string | null;
  /** The best plan of a request. */
  search: (request: PlanRequest, signal: AbortSignal) => Promise<Plan>;
  tell: (text: string) => void;
}

/** So long prices rest before it is looked what they moved, in ms. */
const REST = 1500;
/** So many projects are named. */
const MAX_NAMED = 3;

/**
 * Looks, once a changed price rests, at what it moved in the projects that are not on screen, and tells it: a shared price
 * changes them all, and none should change in silence.
 */
export class MovedElsewhere {
  /** The book as it was when its change began; null: it rests. */
  private before: Book | null = null;
  private last: Book | null;
  private cancel: (() => void) | null = null;
  private looking: AbortController | null = null;

  constructor(private readonly options: Options) {
    this.last = options.state()?.book.book ?? null;
  }

  /** Hears that something was changed. */
  changed(): void {
    const book = this.options.state()?.book.book ?? null;
    const before = this.last;
    this.last = book;
    // The rack, tools and materials are changed with the projects in mind that they are for.
    if (book?.prices === before?.prices && book?.stores === before?.stores) return;
    this.before ??= before;
    this.cancel?.();
    this.looking?.abort();
    this.looking = null;
    if (this.before) this.cancel = this.options.clock.after(REST, () => void this.look());
  }

  private async look(): Promise<void> {
    const { before } = this;
    const state = this.options.state();
    if (!before || !state) return;
    this.before = null;
    this.cancel = null;
    const looking = new AbortController();
    this.looking = looking;
    const moved: Moved[] = [];
    for (const { project, deletedAt } of Object.values(state.records)) {
      if (deletedAt !== null || project.id === this.options.openId()) continue;
      // One project a task: the page stays free between them.
      await new Promise<void>((go) => void this.options.clock.after(0, go));
      const [from, to] = [bookFor(project, before), bookFor(project, state.book.book)];
      const by = await this.movedBy(project, from, to, looking.signal).catch(() => null);
      if (looking.signal.aborted) return;
      if (by) moved.push(by);
    }
    this.looking = null;
    if (moved.length > 0) this.options.tell(movedWords(moved));
  }

  private async movedBy(project: Project, from: Book, to: Book, signal: AbortSignal): Promise<Moved | null> {
    const [was, is] = [planRequest(project, from), planRequest(project, to)];
    if (was.key === is.key) return null;
    const [then, now] = [await this.options.search(was, signal), await this.options.search(is, signal)];
    const total = projectMoney(project, to, now).total;
    const by = total - projectMoney(project, from, then).total;
    return by === 0 ? null : { project, total, by };
  }
}

/** `Moved with it: Rack €9.30 less, now €731.55.` */
const movedWords = (moved: Moved[]): string => {
  const words = moved.slice(0, MAX_NAMED).map(({ project: { name, currency }, total, by }) => {
    const sum = formatMoney(Math.abs(by), currency);
    return `${name} ${sum} ${by < 0 ? 'less' : 'more'}, now ${formatMoney(total, currency)}`;
  });
  const rest = moved.length - words.length;
  return `Moved with it: ${words.join('; ')}${rest > 0 ? `; and ${rest} more` : ''}.`;
};

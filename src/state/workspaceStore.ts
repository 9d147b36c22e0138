import { withRecordedCharges, type Project } from '@/core/project';
import {
  DEFAULT_SETTINGS,
  newProjectRecord,
  type BookRecord,
  type Damaged,
  type ProjectRecord,
  type Settings,
  type Tags,
} from '@/data/records';
import type { Stored } from '@/data/repository';
import { heldBy, nextStep, type Step, type Way } from './history';
import type { Journal } from './journal';
import { KeepingNotice } from './keepingNotice';
import { BOOK, SETTINGS, type JournalEntry } from './journalEntry';
import { historyIn, perform, turnedIds, type Performed } from './perform';
import type { WorkspaceCommand } from './transaction';
import { RecordKeeper, type Kept } from './recordKeeper';
import type { Workspace, WorkspaceEvent, WorkspaceStorage } from './workspace';
import { THE_BOOK, charged, isNothing, newerIn, withStored, without } from './workspaceChanges';
import type { Clock } from './writeQueue';

export { emptyWorkspace, type Workspace, type WorkspaceEvent, type WorkspaceStorage } from './workspace';

interface Options {
  storage: WorkspaceStorage;
  journal: Journal;
  /** The tabs that are there: what they have in their journals is theirs to write. */
  livingTabs: () => Promise<ReadonlySet<string>>;
  clock: Clock;
  newId: () => string;
}

type Place = { projectId: string } | 'book' | 'settings';
/** An entry without what tells it from others. */
type Deed = {
  [Kind in JournalEntry['kind']]: Omit<Extract<JournalEntry, { kind: Kind }>, 'id' | 'tab' | 'at'>;
}[JournalEntry['kind']];

/**
 * The one owner of what the user makes: projects, price book, settings. All that is done is an entry of the journal: one
 * transaction and one step to undo. What is new is there at once, is written down before the call returns, and is put in its
 * records behind it.
 */
export class WorkspaceStore {
  private workspace: Workspace | null = null;
  private loading: Promise<Workspace> | null = null;
  private readonly listeners = new Set<(event: WorkspaceEvent) => void>();
  private readonly keeper: RecordKeeper;
  private readonly notice: KeepingNotice;

  constructor(private readonly options: Options) {
    this.keeper = new RecordKeeper({
      clock: options.clock,
      newId: options.newId,
      write: (key, tags, own) => this.write(key, tags, own),
      rebase: (key) => this.rebase(key),
      onKept: (entryId) => options.journal.strike(entryId),
      onOutcome: (outcome, isFailing, error) => this.notice.heard(outcome, isFailing, error),
    });
    this.notice = new KeepingNotice(this.keeper, options.clock, (event) => this.tell(event));
  }

  /** What is kept; null while it is read. */
  get state(): Workspace | null {
    return this.workspace;
  }

  /** Calls `listener` with every event. Returns how to stop. */
  subscribe(listener: (event: WorkspaceEvent) => void): () => void {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }

  /** Reads what is kept, once; a new browser holds nothing. */
  async load(): Promise<Workspace> {
    this.loading ??= this.read();
    try {
      const first = await this.loading;
      return this.workspace ?? first;
    } catch (error) {
      // What could not be read now may be read the next time.
      this.loading = null;
      throw error;
    }
  }

  /** Resolves when every change so far was tried to be written. */
  written(): Promise<void> {
    return this.keeper.written();
  }

  /** Whether a change is not written yet. */
  get hasUnwritten(): boolean {
    return this.keeper.hasUnwritten;
  }

  /** Whether a page that goes now would lose something: neither its record nor the journal has it. */
  get isAtRisk(): boolean {
    return this.keeper.hasUnwritten && this.options.journal.isAtRisk;
  }

  /** Applies commands as one step, each to the newest state; `projectId` is the project they are for or were given in. */
  dispatch(
    commands: WorkspaceCommand | WorkspaceCommand[],
    projectId: string | null = null,
    name?: string,
  ): void {
    const list = Array.isArray(commands) ? commands : [commands];
    this.do({ kind: 'commands', projectId, commands: list, ...(name === undefined ? {} : { name }) });
  }

  /** What undo or redo would do next in a project; null: nothing. Without a project: in the book alone. */
  next(projectId: string | null, way: Way): Step | null {
    const workspace = this.workspace;
    if (!workspace) return null;
    if (projectId !== null) return nextStep(workspace.records[projectId], workspace.book, way);
    const change = (way === 'undo' ? workspace.book.history.past : workspace.book.history.future).at(-1);
    return change ? { label: change.label, ofProject: false, ofBook: true } : null;
  }

  /** Takes the newest step back, or makes the one again that was taken back last. */
  step(projectId: string | null, way: Way): void {
    const workspace = this.workspace;
    const next = this.next(projectId, way);
    if (workspace && next)
      this.do({ kind: 'turn', projectId, way, ...turnedIds(workspace, projectId, way, next) });
  }

  /**
   * Puts a project in that is new here, or opened from a file in place of one of its id: that is one step, which undo takes
   * back. What could not be read of its id lies aside.
   */
  addProject(project: Project): void {
    const workspace = this.workspace;
    if (!workspace) return;
    const record = newProjectRecord(withRecordedCharges(project, workspace.book.book.stores));
    const kind = workspace.records[project.id] ? 'replaceProject' : 'newProject';
    const put = () => this.do({ kind, projectId: project.id, record });
    const damaged = workspace.damaged.find(({ id }) => id === project.id);
    if (!damaged) return put();
    void this.options.storage.setAside('project', damaged.text, this.options.clock.now()).then(
      () => {
        this.workspace = without(this.workspace, damaged);
        put();
      },
      () => this.tell({ kind: 'notOpened', name: project.name }),
    );
  }

  /** Deletes a project so that it can be had back for 30 days; null takes it back. */
  setDeleted(projectId: string, deletedAt: number | null): void {
    this.do({ kind: 'deleteProject', projectId, deletedAt });
    if (deletedAt !== null) this.dispatch({ type: 'releaseRack', projectId });
  }

  changeSettings(fields: Partial<Settings>): void {
    this.do({ kind: 'settings', projectId: null, fields });
  }

  /** Puts the sample projects, as far as they are not there, beside what is. */
  async bringSamples(): Promise<void> {
    const workspace = await this.load();
    const { book: held } = workspace.book;
    if (workspace.book.isNewer) return this.tell({ kind: 'lookingOnly', name: THE_BOOK });
    const { book, added } = await this.options.storage.withSamples(held, workspace.records);
    const isNew = (own: Record<string, unknown>) => (one: { id: string }) => own[one.id] === undefined;
    this.dispatch({
      type: 'putPrices',
      stores: Object.values(book.stores).filter(isNew(held.stores)),
      prices: Object.values(book.prices).filter(isNew(held.prices)),
    });
    for (const { project } of added) this.addProject(project);
  }

  /** Takes over what another tab has written of a project, the book or the settings. */
  async takeOver(place: Place): Promise<void> {
    const workspace = await this.load();
    if (place === 'settings') {
      const settings =
        (await this.options.storage.loadSettings(this.options.clock.now())) ?? DEFAULT_SETTINGS;
      this.workspace = { ...(this.workspace ?? workspace), settings };
      this.tell({ kind: 'changed', projectIds: [], book: false, settings: true });
      return;
    }
    const key = place === 'book' ? BOOK : place.projectId;
    // What is not written yet finds out by itself, and is done again on the newer state.
    if (this.keeper.hasUnsaved(key)) return this.keeper.enqueue(key);
    const { name, undone } = await this.reload(key);
    if (name !== null) this.redo(key, undone);
  }

  private async read(): Promise<Workspace> {
    const { storage, clock, journal } = this.options;
    const settings = await storage.loadSettings(clock.now());
    const projects = await storage.loadProjects(clock.now());
    const book = await storage.loadBook(clock.now());
    const living = await this.options.livingTabs();
    this.keeper.follow(BOOK, book.tag);
    if (book.isSetAside) this.tell({ kind: 'bookSetAside' });
    if (book.record.isNewer) this.tell({ kind: 'lookingOnly', name: THE_BOOK });
    for (const [id, { tag }] of Object.entries(projects.records)) this.keeper.follow(id, tag);
    // A file of the same id may take the place of what cannot be read.
    for (const { id, tag } of projects.damaged) this.keeper.follow(id, tag);
    const records = Object.fromEntries(
      Object.entries(projects.records).map(([id, { record }]) => [id, charged(record, book.record.book)]),
    );
    this.workspace = {
      records,
      damaged: projects.damaged,
      book: book.record,
      settings: settings ?? DEFAULT_SETTINGS,
    };
    for (const [id, record] of Object.entries(records))
      if (record !== projects.records[id]?.record && !record.isNewer) this.keeper.enqueue(id);
    if (settings === null) this.keeper.enqueue(SETTINGS);
    for (const left of journal.takeUp(living)) this.replay(left);
    this.tell({
      kind: 'changed',
      projectIds: Object.keys(this.workspace.records),
      book: true,
      settings: true,
    });
    return this.workspace;
  }

  /** Does what is new: it is written down before this returns. */
  private do(deed: Deed): void {
    if (!this.workspace) return;
    const { journal, newId, clock } = this.options;
    const entry: JournalEntry = { ...deed, id: newId(), tab: journal.tabId, at: clock.now() };
    const performed = perform(this.workspace, entry, () => false);
    if (isNothing(performed)) return;
    const newer = newerIn(this.workspace, performed);
    if (newer !== null) return this.tell({ kind: 'lookingOnly', name: newer });
    journal.append(entry);
    this.take(entry, performed);
  }

  /** Does again what a tab that is gone had done, as far as its records have not got it. */
  private replay(left: JournalEntry[]): void {
    const isHeld = heldBy(left, (key) => this.workspace && historyIn(this.workspace, key));
    for (const [index, entry] of left.entries()) {
      const workspace = this.workspace;
      // Of what cannot be read it is kept until that can.
      if (!workspace || workspace.damaged.some(({ id }) => id === entry.projectId)) continue;
      const performed = perform(workspace, entry, (key) => isHeld(key, index));
      // Of what a newer Billet wrote it is kept for that.
      if (newerIn(workspace, performed) !== null) continue;
      this.take(entry, performed);
      if (!this.keeper.holds(entry.id)) this.options.journal.strike(entry.id);
    }
  }

  /** Takes new states of records, and has them written. */
  private take(entry: JournalEntry, { record, book, settings }: Performed): void {
    const workspace = this.workspace;
    if (!workspace || !(record || book || settings)) return;
    this.workspace = {
      ...workspace,
      ...(record ? { records: { ...workspace.records, [record.project.id]: record } } : {}),
      ...(book ? { book } : {}),
      ...(settings ? { settings } : {}),
    };
    const keys = [
      ...(record ? [record.project.id] : []),
      ...(book ? [BOOK] : []),
      ...(settings ? [SETTINGS] : []),
    ];
    for (const key of keys) this.keeper.enqueue(key, entry);
    this.notice.watch();
    this.tell({
      kind: 'changed',
      projectIds: record ? [record.project.id] : [],
      book: book !== undefined,
      settings: settings !== undefined,
    });
  }

  private write(key: string, tags: Tags, own: string[]): Promise<Kept> | null {
    const { storage } = this.options;
    const workspace = this.workspace;
    if (!workspace) return null;
    if (key === SETTINGS) return storage.saveSettings(workspace.settings).then(() => 'saved');
    if (key === BOOK) return storage.saveBook(workspace.book, tags, own);
    const record = workspace.records[key];
    return record ? storage.saveProject(record, tags, own) : null;
  }

  /** Another tab was first: its state is taken, and what was done here is done again on it. */
  private async rebase(key: string): Promise<void> {
    const { name, undone } = await this.reload(key);
    if (name !== null) this.tell({ kind: 'otherTab', name, isWhole: this.redo(key, undone) });
  }

  /** Does entries again on a newer state of a record. False: something taken back or made again no longer fits. */
  private redo(key: string, again: JournalEntry[]): boolean {
    const isHeld = heldBy(again, (of) => this.workspace && historyIn(this.workspace, of));
    let isWhole = true;
    for (const [index, entry] of again.entries()) {
      if (this.workspace && !isHeld(key, index)) {
        const performed = perform(this.workspace, entry, (of) => of !== key);
        if (isNothing(performed)) isWhole &&= entry.kind !== 'turn';
        else this.take(entry, performed);
      }
      if (!this.keeper.holds(entry.id)) this.options.journal.strike(entry.id);
    }
    return isWhole;
  }

  /**
   * Takes what is stored of a record. `name` is how it is called; null: it cannot be read. `undone` is what was done to it here and
   * is not in what was taken, while it was read too: it is to be done again, or stays in the journal where that cannot be.
   */
  private async reload(key: string): Promise<{ name: string | null; undone: JournalEntry[] }> {
    const { storage, clock } = this.options;
    if (key === BOOK) {
      const book = await storage.loadBook(clock.now());
      const undone = this.keeper.taken(key);
      return { name: this.takeBook(book), undone };
    }
    const project = await storage.readProject(key);
    const undone = this.keeper.taken(key);
    return { name: this.takeProject(key, project), undone };
  }

  private takeBook({ record, tag }: Stored<BookRecord>): string | null {
    this.keeper.follow(BOOK, tag);
    if (this.workspace) this.workspace = { ...this.workspace, book: record };
    this.tell({ kind: 'changed', projectIds: [], book: true, settings: false });
    if (record.isNewer) this.tell({ kind: 'lookingOnly', name: THE_BOOK });
    return record.isNewer ? null : THE_BOOK;
  }

  private takeProject(key: string, stored: Stored<ProjectRecord> | Damaged | null): string | null {
    this.keeper.follow(key, stored?.tag ?? null);
    const before = this.workspace?.records[key]?.project.name ?? '';
    if (this.workspace && stored) this.workspace = withStored(this.workspace, key, stored);
    const name = this.workspace?.records[key]?.project.name ?? '';
    const fault: WorkspaceEvent | null =
      stored && 'problems' in stored
        ? { kind: 'unreadable', name: before }
        : stored?.record.isNewer
          ? { kind: 'lookingOnly', name }
          : null;
    this.tell({ kind: 'changed', projectIds: [key], book: false, settings: false });
    if (fault) this.tell(fault);
    return fault ? null : name;
  }

  private tell(event: WorkspaceEvent): void {
    for (const listener of this.listeners) listener(event);
  }
}

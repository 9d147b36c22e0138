import {
  emptyBook,
  emptyHistory,
  isBookCommand,
  redo,
  undo,
  withRecordedCharges,
  type Book,
  type Project,
} from '@/core/project';
import {
  DEFAULT_SETTINGS,
  newProjectRecord,
  type BookRecord,
  type Damaged,
  type ProjectRecord,
  type Settings,
  type Tags,
} from '@/data/records';
import type { Stored, StoredProjects } from '@/data/repository';
import { clearRedo, nextStep, type Step, type Way } from './history';
import { transact, type WorkspaceCommand } from './transaction';
import { RecordKeeper, type Kept, type UnsavedStep } from './recordKeeper';
import type { Clock, WriteOutcome } from './writeQueue';

/** The same before it returns, for a page that goes. What is stored may be of any of `parents`. */
export interface StorageNow {
  readProject: (id: string) => Stored<ProjectRecord> | null;
  readBook: () => Stored<BookRecord> | null;
  saveProject: (record: ProjectRecord, tags: Tags, parents: (string | null)[]) => Kept;
  saveBook: (record: BookRecord, tags: Tags, parents: (string | null)[]) => Kept;
  saveSettings: (settings: Settings) => Kept;
}

/** Where a workspace is kept. */
export interface WorkspaceStorage {
  loadProjects: (now: number) => Promise<StoredProjects>;
  readProject: (id: string) => Promise<Stored<ProjectRecord> | null>;
  loadBook: (now: number) => Promise<Stored<BookRecord>>;
  loadSettings: (now: number) => Promise<Settings | null>;
  saveProject: (record: ProjectRecord, tags: Tags) => Promise<'saved' | 'refused'>;
  saveBook: (record: BookRecord, tags: Tags) => Promise<'saved' | 'refused'>;
  saveSettings: (settings: Settings) => Promise<void>;
  now: StorageNow;
  /** The sample projects that are missing, and the book with what they need. */
  withSamples: (
    book: Book,
    held: Record<string, Pick<ProjectRecord, 'deletedAt'>>,
  ) => Promise<{ book: Book; added: ProjectRecord[] }>;
}

/** All that a browser keeps. Values never change: every change makes a new one. */
export interface Workspace {
  records: Record<string, ProjectRecord>;
  damaged: Damaged[];
  book: BookRecord;
  settings: Settings;
}

/** What the user should hear of. */
export type WorkspaceEvent =
  | { kind: 'changed'; projectIds: string[]; book: boolean; settings: boolean }
  /** `isWhole`: what was done here is kept too; otherwise a change that was taken back or made again is lost. */
  | { kind: 'otherTab'; name: string; isWhole: boolean }
  | { kind: 'notKept'; error: unknown }
  | { kind: 'keptAgain' }
  /** The price book could not be read: it lies aside, untouched. */
  | { kind: 'bookSetAside' };

interface Options {
  storage: WorkspaceStorage;
  clock: Clock;
  newId: () => string;
}

const BOOK = 'book';
const SETTINGS = 'settings';

/**
 * The one owner of what the user makes: projects, price book, settings. Every change is one `dispatch`: one transaction and
 * one step to undo. What is new is there at once and written behind it.
 */
export class WorkspaceStore {
  private workspace: Workspace | null = null;
  private loading: Promise<Workspace> | null = null;
  private readonly listeners = new Set<(event: WorkspaceEvent) => void>();
  private readonly keeper: RecordKeeper;
  private isFailing = false;

  constructor(private readonly options: Options) {
    this.keeper = new RecordKeeper({
      clock: options.clock,
      newId: options.newId,
      write: (key, tags) => this.write(key, tags),
      writeNow: (key, tags, parents) => this.writeNow(key, tags, parents),
      rebase: async (key, again) => this.rebase(key, again, await this.reload(key)),
      rebaseNow: (key, again) => this.rebase(key, again, this.reloadNow(key)),
      onOutcome: (outcome, isFailing, error) => this.heard(outcome, isFailing, error),
    });
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

  /** Reads what is kept, once; a new browser is given the samples, on screen while they are written. */
  async load(): Promise<Workspace> {
    this.loading ??= this.read();
    const first = await this.loading;
    return this.workspace ?? first;
  }

  /** Resolves when every change so far was tried to be written. */
  written(): Promise<void> {
    return this.keeper.written();
  }

  /** Writes every change before it returns, as the page goes. */
  flush(): void {
    this.keeper.flush();
  }

  /** Whether a change is not written yet. */
  get hasUnwritten(): boolean {
    return this.keeper.hasUnwritten;
  }

  /** Applies commands as one step, each to the newest state; `projectId` is the project they are for or were given in. */
  dispatch(
    commands: WorkspaceCommand | WorkspaceCommand[],
    projectId: string | null = null,
    name?: string,
  ): void {
    const workspace = this.workspace;
    if (!workspace) return;
    const list = Array.isArray(commands) ? commands : [commands];
    const step: UnsavedStep = {
      commands: list,
      at: this.options.clock.now(),
      id: this.options.newId(),
      projectId,
    };
    this.apply(step, name);
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
    if (!workspace || !next) return;
    const turn = way === 'undo' ? undo : redo;
    const step = { commands: null, at: this.options.clock.now(), id: '', projectId };
    const record = projectId === null ? undefined : workspace.records[projectId];
    const turned = next.ofProject && record ? turn(record.project, record.history) : null;
    const turnedBook = next.ofBook ? turn(workspace.book.book, workspace.book.history) : null;
    this.put(
      turned && record
        ? {
            ...record,
            // A step of before trips were recorded may bring back a purchase without its own.
            project: withRecordedCharges(turned.document, workspace.book.book.stores),
            history: turned.history,
          }
        : undefined,
      turnedBook ? { book: turnedBook.document, history: turnedBook.history } : undefined,
      step,
    );
  }

  /** Puts a project in that is new here, or opened from a file in place of one of its id. */
  addProject(project: Project): void {
    const stores = this.workspace?.book.book.stores ?? {};
    this.put(newProjectRecord(withRecordedCharges(project, stores)), undefined, this.wholeRecord());
  }

  /** Deletes a project so that it can be had back for 30 days; null takes it back. */
  setDeleted(projectId: string, deletedAt: number | null): void {
    const record = this.workspace?.records[projectId];
    if (record) this.put({ ...record, deletedAt }, undefined, this.wholeRecord());
    if (deletedAt !== null) this.dispatch({ type: 'releaseRack', projectId });
  }

  changeSettings(fields: Partial<Settings>): void {
    const workspace = this.workspace;
    if (!workspace) return;
    this.workspace = { ...workspace, settings: { ...workspace.settings, ...fields } };
    this.keeper.enqueue(SETTINGS);
    this.tell({ kind: 'changed', projectIds: [], book: false, settings: true });
  }

  /** Puts the sample projects back beside what is there. */
  async bringSamplesBack(): Promise<void> {
    const workspace = await this.load();
    const { book, added } = await this.options.storage.withSamples(workspace.book.book, workspace.records);
    for (const record of added) this.put(record, undefined, this.wholeRecord());
    this.put(undefined, { book, history: emptyHistory() }, this.wholeRecord());
  }

  /** Takes over what another tab has written of a project, the book or the settings. */
  async takeOver(place: { projectId: string } | 'book' | 'settings'): Promise<void> {
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
    if (this.keeper.hasUnsaved(key)) this.keeper.enqueue(key);
    else await this.reload(key);
  }

  private async read(): Promise<Workspace> {
    const { storage, clock } = this.options;
    const settings = await storage.loadSettings(clock.now());
    const projects = await storage.loadProjects(clock.now());
    const book = await storage.loadBook(clock.now());
    this.keeper.follow(BOOK, book.tag);
    if (book.isSetAside) this.tell({ kind: 'bookSetAside' });
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
      if (record !== projects.records[id]?.record) this.keeper.enqueue(id);
    if (settings === null) {
      this.keeper.enqueue(SETTINGS);
      if (Object.keys(records).length === 0) await this.addFirstSamples(this.workspace);
    }
    this.tell({
      kind: 'changed',
      projectIds: Object.keys(this.workspace.records),
      book: true,
      settings: true,
    });
    return this.workspace;
  }

  private async addFirstSamples(workspace: Workspace): Promise<void> {
    const { book, added } = await this.options.storage.withSamples(workspace.book.book, {});
    this.workspace = {
      ...workspace,
      records: Object.fromEntries(added.map((record) => [record.project.id, charged(record, book)])),
      book: { book, history: emptyHistory() },
    };
    for (const { project } of added) this.keeper.enqueue(project.id);
    this.keeper.enqueue(BOOK);
  }

  private wholeRecord(): UnsavedStep {
    return { commands: null, at: this.options.clock.now(), id: '', projectId: null };
  }

  private apply(step: UnsavedStep, name?: string): void {
    const workspace = this.workspace;
    if (!workspace || !step.commands) return;
    const { projectId } = step;
    const record = projectId === null ? undefined : workspace.records[projectId];
    const made = transact(
      { record, book: workspace.book },
      step.commands,
      { id: step.id, at: step.at, ...(projectId === null ? {} : { projectId }) },
      name,
    );
    const isProject = made.record !== record;
    const isBook = made.book !== workspace.book;
    // A change made anew ends what could be made again, in the project and in the book alike.
    const book = isBook
      ? made.book
      : isProject
        ? this.withoutRedoOf(workspace.book, projectId)
        : workspace.book;
    const own =
      made.record && !isProject && isBook
        ? { ...made.record, history: clearRedo(made.record.history) }
        : made.record;
    this.put(
      own && own !== record && (isProject || own.history !== record?.history) ? own : undefined,
      book === workspace.book ? undefined : book,
      step,
    );
  }

  private withoutRedoOf(book: BookRecord, projectId: string | null): BookRecord {
    return projectId !== null && book.history.future.at(-1)?.projectId === projectId
      ? { ...book, history: clearRedo(book.history) }
      : book;
  }

  private put(record: ProjectRecord | undefined, book: BookRecord | undefined, step: UnsavedStep): void {
    const workspace = this.workspace;
    if (!workspace || (!record && !book)) return;
    this.workspace = {
      ...workspace,
      ...(record ? { records: { ...workspace.records, [record.project.id]: record } } : {}),
      ...(book ? { book } : {}),
    };
    for (const key of [...(record ? [record.project.id] : []), ...(book ? [BOOK] : [])]) {
      this.keeper.enqueue(key, step);
    }
    this.tell({
      kind: 'changed',
      projectIds: record ? [record.project.id] : [],
      book: book !== undefined,
      settings: false,
    });
  }

  private write(key: string, tags: Tags): Promise<Kept> | null {
    const { storage } = this.options;
    const workspace = this.workspace;
    if (!workspace) return null;
    if (key === SETTINGS) return storage.saveSettings(workspace.settings).then(() => 'saved');
    if (key === BOOK) return storage.saveBook(workspace.book, tags);
    const record = workspace.records[key];
    return record ? storage.saveProject(record, tags) : null;
  }

  private writeNow(key: string, tags: Tags, parents: (string | null)[]): Kept | null {
    const { now } = this.options.storage;
    const workspace = this.workspace;
    if (!workspace) return null;
    if (key === SETTINGS) return now.saveSettings(workspace.settings);
    if (key === BOOK) return now.saveBook(workspace.book, tags, parents);
    const record = workspace.records[key];
    return record ? now.saveProject(record, tags, parents) : null;
  }

  /** Another tab was first: its state was taken, and what was done here is done again on it. */
  private rebase(key: string, again: UnsavedStep[], name: string): void {
    for (const step of again)
      if (step.commands) {
        const isBook = key === BOOK;
        const commands = step.commands.filter((one) => isBookCommand(one) === isBook);
        this.apply({ ...step, commands });
      }
    this.tell({ kind: 'otherTab', name, isWhole: again.every(({ commands }) => commands !== null) });
  }

  private async reload(key: string): Promise<string> {
    const { storage, clock } = this.options;
    return key === BOOK
      ? this.takeBook(await storage.loadBook(clock.now()))
      : this.takeProject(key, await storage.readProject(key));
  }

  private reloadNow(key: string): string {
    const { now } = this.options.storage;
    return key === BOOK
      ? this.takeBook(now.readBook() ?? { record: this.workspace?.book ?? emptyWorkspace().book, tag: null })
      : this.takeProject(key, now.readProject(key));
  }

  private takeBook({ record, tag }: Stored<BookRecord>): string {
    this.keeper.follow(BOOK, tag);
    if (this.workspace) this.workspace = { ...this.workspace, book: record };
    this.tell({ kind: 'changed', projectIds: [], book: true, settings: false });
    return 'The price book';
  }

  private takeProject(key: string, stored: Stored<ProjectRecord> | null): string {
    this.keeper.follow(key, stored?.tag ?? null);
    const workspace = this.workspace;
    if (workspace && stored)
      this.workspace = { ...workspace, records: { ...workspace.records, [key]: stored.record } };
    this.tell({ kind: 'changed', projectIds: [key], book: false, settings: false });
    return stored?.record.project.name ?? '';
  }

  private heard(outcome: WriteOutcome, isFailing: boolean, error: unknown): void {
    if (outcome === 'failed') {
      if (!this.isFailing) this.tell({ kind: 'notKept', error });
      this.isFailing = true;
    } else if (this.isFailing && !isFailing) {
      this.isFailing = false;
      this.tell({ kind: 'keptAgain' });
    }
  }

  private tell(event: WorkspaceEvent): void {
    for (const listener of this.listeners) listener(event);
  }
}

/** A record whose purchases say what trips and shipping came to. */
const charged = (record: ProjectRecord, book: Book): ProjectRecord => {
  const project = withRecordedCharges(record.project, book.stores);
  return project === record.project ? record : { ...record, project };
};

/** A workspace with nothing in it. */
export const emptyWorkspace = (): Workspace => ({
  records: {},
  damaged: [],
  book: { book: emptyBook(), history: emptyHistory() },
  settings: DEFAULT_SETTINGS,
});

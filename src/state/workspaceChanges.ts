import { withRecordedCharges, type Book } from '@/core/project';
import type { Damaged, ProjectRecord } from '@/data/records';
import type { Stored } from '@/data/repository';
import type { Performed } from './perform';
import type { Workspace } from './workspace';

/** How the price book is called in a sentence. */
export const THE_BOOK = 'The price book';

/** What a newer Billet wrote among what would be made anew, by its name; null: nothing of it. */
export const newerIn = (workspace: Workspace, { record, book }: Performed): string | null =>
  record && workspace.records[record.project.id]?.isNewer
    ? record.project.name
    : book && workspace.book.isNewer
      ? THE_BOOK
      : null;

/** Whether an entry did not change anything. */
export const isNothing = ({ record, book, settings }: Performed): boolean => !record && !book && !settings;

/** A record whose purchases say what trips and shipping came to. */
export const charged = (record: ProjectRecord, book: Book): ProjectRecord => {
  const project = withRecordedCharges(record.project, book.stores);
  return project === record.project ? record : { ...record, project };
};

/** A workspace in which something that cannot be read is no more. */
export const without = (workspace: Workspace | null, { key }: Damaged): Workspace | null =>
  workspace && { ...workspace, damaged: workspace.damaged.filter((one) => one.key !== key) };

/** One in which a project is what is stored of it. */
export const withStored = (
  workspace: Workspace,
  key: string,
  stored: Stored<ProjectRecord> | Damaged,
): Workspace =>
  'problems' in stored
    ? withDamaged(workspace, stored)
    : { ...workspace, records: { ...workspace.records, [key]: stored.record } };

/** One in which a project cannot be read any more. */
const withDamaged = (workspace: Workspace, damaged: Damaged): Workspace => {
  const { [damaged.id]: _, ...records } = workspace.records;
  return { ...workspace, records, damaged: [...workspace.damaged, damaged] };
};

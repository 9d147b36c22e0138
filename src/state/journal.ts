import { packProject, unpackProject } from '@/data/records';
import { JOURNAL } from '@/data/storage';
import type { ShortTexts } from '@/platform/room';
import type { JournalEntry } from './journalEntry';

/** Longer entries are not written down: their records are written at once. In UTF-16 units. */
const MAX_ENTRY = 400_000;
const DIGITS = 9;

/**
 * What was done and is not in its records yet, written before a dispatch returns: a page that goes, or is ended, loses nothing
 * of it. Each tab has its own; what a tab left is taken up by the next.
 */
export class Journal {
  private count = 0;
  private readonly places = new Map<string, string>();
  private readonly unwritten = new Set<string>();

  constructor(
    private readonly texts: ShortTexts,
    readonly tabId: string,
    /** When this tab began, in ms: what was left is taken up in this order. */
    private readonly began: number,
  ) {}

  /** Writes an entry down. One that finds no room is not, and its record alone holds it. */
  append(entry: JournalEntry): void {
    const key = `${JOURNAL}${this.began} ${this.tabId}/${String(this.count++).padStart(DIGITS, '0')}`;
    try {
      const text = packEntry(entry);
      if (text.length > MAX_ENTRY) throw new Error('too long');
      this.texts.write(key, text);
      this.places.set(entry.id, key);
    } catch {
      this.unwritten.add(entry.id);
    }
  }

  /** An entry is in its records. */
  strike(id: string): void {
    this.unwritten.delete(id);
    const key = this.places.get(id);
    if (key === undefined) return;
    this.places.delete(id);
    try {
      this.texts.remove(key);
    } catch {
      // It is taken up once more, and found to be in.
    }
  }

  /** Something was done that neither a record nor the journal holds yet. */
  get isAtRisk(): boolean {
    return this.unwritten.size > 0;
  }

  /** What tabs left that are gone, each in its order; from now on this tab strikes it. */
  takeUp(living: ReadonlySet<string>): JournalEntry[][] {
    const groups = new Map<string, JournalEntry[]>();
    for (const key of this.keysLeft(living)) {
      const tab = key.slice(JOURNAL.length, key.lastIndexOf('/'));
      const entry = this.entryAt(key);
      if (entry) groups.set(tab, [...(groups.get(tab) ?? []), entry]);
    }
    return [...groups.values()];
  }

  private keysLeft(living: ReadonlySet<string>): string[] {
    const isLeft = (key: string) => {
      const tab = key.slice(key.indexOf(' ') + 1, key.lastIndexOf('/'));
      return key.startsWith(JOURNAL) && tab !== this.tabId && !living.has(tab);
    };
    try {
      return this.texts.keys().filter(isLeft).sort();
    } catch {
      return [];
    }
  }

  private entryAt(key: string): JournalEntry | null {
    try {
      const entry = unpackEntry(this.texts.read(key) ?? '');
      if (entry) this.places.set(entry.id, key);
      // Cut off while it was written: it was never said to be kept.
      else this.texts.remove(key);
      return entry;
    } catch {
      return null;
    }
  }
}

/** An entry as text; its project is packed as it is for its own record. */
const packEntry = (entry: JournalEntry): string =>
  JSON.stringify(
    entry.kind === 'newProject' || entry.kind === 'replaceProject'
      ? { ...entry, record: packProject(entry.record, { tag: entry.id, parent: null }) }
      : entry,
  );

const unpackEntry = (text: string): JournalEntry | null => {
  const read = parsed(text);
  if (
    typeof read?.id !== 'string' ||
    typeof read.at !== 'number' ||
    typeof read.tab !== 'string' ||
    read.kind === undefined
  )
    return null;
  if (read.kind !== 'newProject' && read.kind !== 'replaceProject') return read as JournalEntry;
  const record = unpackProject(String(read.record));
  return record.ok ? ({ ...read, record: record.value } as JournalEntry) : null;
};

type Parsed = { [Key in 'id' | 'tab' | 'at' | 'record']?: unknown } & { kind?: JournalEntry['kind'] };
const parsed = (text: string): Parsed | null => {
  try {
    return JSON.parse(text) as Parsed | null;
  } catch {
    return null;
  }
};

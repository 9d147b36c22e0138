import { useMemo, useState } from 'react';
import type { LengthUnit } from '@/core/units';
import { currentOffers, needsOf, withDressed, type Need, type Offer } from '@/core/pricing';
import { shownPlan } from '@/core/plan';
import { resolve, type Book, type PlanSettings, type Project, type Store, toolsOf } from '@/core/project';
import {
  STALE_AFTER,
  type Dispatch,
  useOpenBook,
  useProject,
  useProjects,
  useSettings,
  useSnapshot,
  useToday,
} from '@/hooks';

/** What the screens of the price book work with, in a project or by itself. */
export interface PriceBookView {
  book: Book;
  /** The project in which prices are looked at; null: the book by itself. */
  project: Project | null;
  /** Whose needs are priced: the project's, or those of all projects in the currency. */
  projects: Project[];
  unit: LengthUnit;
  currency: string;
  currencies: string[];
  setCurrency: (currency: string) => void;
  terms: Pick<PlanSettings, 'tax' | 'taxIncluded'>;
  staleAfter: number;
  today: string;
  /** Of the currency, by name. */
  stores: Store[];
  /** At those stores. */
  offers: Offer[];
  needs: Need[];
  /** Keys of the offers that the plan of the project buys; empty without a project. */
  inPlan: ReadonlySet<string>;
  /** Changes the price book and, where there is one, the project. */
  dispatch: Dispatch;
  undo: () => void;
}

/** The desk of a project, or of the whole book; null while that is read, undefined when there is no such project. */
export const usePriceBookView = (projectId: string | null): PriceBookView | null | undefined => {
  const open = useProject(projectId ?? '');
  const whole = useOpenBook();
  const all = useProjects();
  const { settings } = useSettings();
  const day = useToday();
  const [asked, setCurrency] = useState<string | null>(null);
  const project = projectId === null ? null : (open?.project ?? null);
  const book = whole?.book;
  const currencies = useMemo(() => currenciesOf(book, settings.currency), [book, settings.currency]);
  const currency =
    project?.currency ?? (asked && currencies.includes(asked) ? asked : (currencies[0] ?? settings.currency));
  const records = all?.records;
  const projects = useMemo(
    () =>
      project
        ? [project]
        : (records ?? []).map((record) => record.project).filter((other) => other.currency === currency),
    [project, records, currency],
  );
  const plan = useSnapshot(projectId ?? '')?.plan;
  const inPlan = useMemo(
    () => new Set(shownPlan(plan ?? null)?.buys.map(({ offerKey }) => offerKey)),
    [plan],
  );
  const derived = useMemo(() => (book ? derive(book, projects, currency) : null), [book, projects, currency]);
  if (!whole || !book || !derived || !all) return null;
  if (projectId !== null && !open) return open;
  return {
    book,
    project,
    projects,
    unit: project?.unit ?? projects[0]?.unit ?? settings.unit,
    currency,
    currencies,
    setCurrency,
    terms: project?.settings ?? settings,
    staleAfter: settings.staleAfter ?? STALE_AFTER,
    today: day,
    ...derived,
    inPlan,
    dispatch: open ? open.dispatch : whole.dispatch,
    undo: open ? open.undo : whole.undo,
  };
};

/** The currencies of the stores, the user's own first. */
const currenciesOf = (book: Book | undefined, own: string): string[] => {
  const known = [...new Set(Object.values(book?.stores ?? {}).map(({ currency }) => currency))].sort();
  return known.includes(own) ? [own, ...known.filter((currency) => currency !== own)] : known;
};

const derive = (
  book: Book,
  projects: Project[],
  currency: string,
): Pick<PriceBookView, 'stores' | 'offers' | 'needs'> => {
  const stores = Object.values(book.stores)
    .filter((store) => store.currency === currency)
    .sort((a, b) => a.name.localeCompare(b.name));
  const ids = new Set(stores.map(({ id }) => id));
  const offers = currentOffers(book).filter(({ storeId }) => ids.has(storeId));
  const excluded = projects.length === 1 ? (projects[0]?.excludedStores ?? []) : [];
  const parts = projects.flatMap((project) => resolve(project, book.materials).parts);
  const usable = withDressed(offers, parts).filter(({ storeId }) => !excluded.includes(storeId));
  return {
    stores,
    offers,
    needs: needsOf(
      parts,
      usable,
      projects.flatMap(({ settings }) => toolsOf(settings, book) ?? []),
    ),
  };
};

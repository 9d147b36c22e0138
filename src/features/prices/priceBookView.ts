import { useMemo, useState } from 'react';
import type { LengthUnit } from '@/core/units';
import { currentOffers, needsOf, withDressed, type Need, type Offer } from '@/core/pricing';
import { shownPlan } from '@/core/plan';
import {
  resolve,
  sideOf,
  toolsOf,
  type Book,
  type BookSide,
  type PlanSettings,
  type Project,
  type Store,
} from '@/core/project';
import {
  staleAfter,
  type Dispatch,
  type OpenProject,
  useBook,
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
  /** The project in which prices are looked at, to change it; null: the book by itself. */
  open: OpenProject | null;
  /** That project; null: the book by itself. */
  project: Project | null;
  /** Whose needs are priced: the project's, or those of all projects in the currency. */
  projects: Project[];
  unit: LengthUnit;
  currency: string;
  currencies: string[];
  setCurrency: (currency: string) => void;
  /** Whose prices these are. */
  side: BookSide;
  /** The other side, where something is there and the book is looked at by itself. */
  otherSide: BookSide | null;
  setSide: (side: BookSide) => void;
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
  const all = useProjects();
  const { side, otherSide, setSide } = useBookSide();
  const whole = useOpenBook(side);
  const { settings } = useSettings();
  const day = useToday();
  const project = open?.project ?? null;
  const book = (open ?? whole)?.book;
  const { currencies, chosen, setCurrency } = useCurrencies(book, settings.currency);
  const currency = project?.currency ?? chosen;
  const projects = useProjectsOf(project, currency, side);
  const inPlan = useBoughtInPlan(projectId);
  const derived = useMemo(() => (book ? derive(book, projects, currency) : null), [book, projects, currency]);
  if (projectId !== null && !open) return open;
  if (!whole || !book || !derived || !all) return null;
  const { dispatch, undo } = open ?? whole;
  const sides = project ? { side: sideOf(project), otherSide: null } : { side, otherSide };
  return {
    book,
    open: open ?? null,
    project,
    projects,
    unit: unitOf(projects, settings),
    currency,
    currencies,
    setCurrency,
    ...sides,
    setSide,
    terms: project?.settings ?? settings,
    staleAfter: staleAfter(settings),
    today: day,
    ...derived,
    inPlan,
    dispatch,
    undo,
  };
};

/** The unit of what is priced; that of settings where nothing is. */
const unitOf = ([first]: Project[], settings: { unit: LengthUnit }): LengthUnit => (first ?? settings).unit;

/** The currencies of a book, and the one that is looked at. */
const useCurrencies = (book: Book | undefined, own: string) => {
  const [asked, setCurrency] = useState<string | null>(null);
  const currencies = useMemo(() => currenciesOf(book, own), [book, own]);
  const chosen = currencies.find((code) => code === asked) ?? currencies[0] ?? own;
  return { currencies, chosen, setCurrency };
};

/** The project, or all of one side in a currency. */
const useProjectsOf = (project: Project | null, currency: string, side: BookSide): Project[] => {
  const records = useProjects()?.records;
  return useMemo(
    () =>
      project
        ? [project]
        : (records ?? [])
            .map((record) => record.project)
            .filter((other) => other.currency === currency && sideOf(other) === side),
    [project, records, currency, side],
  );
};

/** Keys of the offers that the plan of a project buys; none without a project. */
const useBoughtInPlan = (projectId: string | null): ReadonlySet<string> => {
  const plan = useSnapshot(projectId ?? '')?.plan;
  return useMemo(() => new Set(shownPlan(plan ?? null)?.buys.map(({ offerKey }) => offerKey)), [plan]);
};

/** Which side of the price book is looked at: one's own, or the samples' where there is nothing of one's own or it is asked for. */
const useBookSide = () => {
  const stores = Object.values(useBook().stores);
  const projects = useProjects()?.records ?? [];
  const [asked, setSide] = useState<BookSide | null>(null);
  const has = (side: BookSide): boolean =>
    stores.some((store) => sideOf(store) === side) ||
    projects.some(({ project }) => sideOf(project) === side);
  const side = asked ?? (!has('own') && has('samples') ? 'samples' : 'own');
  const other: BookSide = side === 'own' ? 'samples' : 'own';
  return { side, otherSide: has('samples') ? other : null, setSide };
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

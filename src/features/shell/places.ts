/** One place of the app: a row here, a file in `src/app`, and its feature. */
export interface PlaceRow {
  name: string;
  /** Below `/`, or below `/project/ID/` for places of a project. */
  path: string;
  scope: 'app' | 'project';
  /** Pages that belong to it and have no word of their own in the navigation. */
  pages?: string[];
}

/** The table of routes that navigation is drawn from, in its order. */
export const PLACES: PlaceRow[] = [
  { name: 'Projects', path: '', scope: 'app' },
  { name: 'Price book', path: 'prices', scope: 'app' },
  { name: 'Rack', path: 'rack', scope: 'app' },
  { name: 'Settings', path: 'settings', scope: 'app' },
  { name: 'Parts', path: 'parts', scope: 'project' },
  { name: 'Prices', path: 'prices', scope: 'project' },
  { name: 'Compare', path: 'compare', scope: 'project' },
  { name: 'Buy', path: 'buy', scope: 'project', pages: ['run'] },
  { name: 'Saw', path: 'saw', scope: 'project' },
  { name: 'Spend', path: 'spend', scope: 'project', pages: ['report'] },
];

/** A place to go to from where one is. */
export interface PlaceLink {
  name: string;
  href: string;
  isHere: boolean;
}

/** The id of the project in a path; null: the path is of none. */
export const projectIdIn = (path: string): string | null => /^\/project\/([^/]+)/.exec(path)?.[1] ?? null;

/** The places of a scope as links; `base` is what their paths are below. */
export const linksFor = (scope: PlaceRow['scope'], base: string, path: string): PlaceLink[] =>
  PLACES.filter((place) => place.scope === scope).map(({ name, path: own, pages = [] }) => ({
    name,
    href: `${base}${own}`,
    isHere: [own, ...pages].some((page) => path === `${base}${page}`),
  }));

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

/** Pages that have no word of their own in the navigation, by the last part of their path. */
const PAGES: Record<string, string> = {
  run: 'At the store',
  report: 'One page',
  aisle: 'Prices in the aisle',
};

/** What the page of a path is called in the browser's tab: the place, the project where it is one's, and Billet. */
export const titleOf = (path: string, projectName: string | null): string => {
  const isOfProject = projectIdIn(path) !== null;
  const last =
    path
      .replace(/\/+$/, '')
      .split('/')
      .at(isOfProject ? 3 : 1) ?? '';
  const scope: PlaceRow['scope'] = isOfProject ? 'project' : 'app';
  const place = PLACES.find((row) => row.scope === scope && row.path === last)?.name ?? PAGES[last];
  return [place, isOfProject ? projectName : null, 'Billet'].filter(Boolean).join(' · ');
};

/** The id of the project in a path; null: the path is of none. */
export const projectIdIn = (path: string): string | null => /^\/project\/([^/]+)/.exec(path)?.[1] ?? null;

/** The places of a scope as links; `base` is what their paths are below. */
export const linksFor = (scope: PlaceRow['scope'], base: string, path: string): PlaceLink[] =>
  PLACES.filter((place) => place.scope === scope).map(({ name, path: own, pages = [] }) => ({
    name,
    href: `${base}${own}`,
    isHere: [own, ...pages].some((page) => path === `${base}${page}`),
  }));

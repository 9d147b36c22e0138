import { chosenOption, partLetters, resolve, tagName, type Book, type Project } from '@/core/project';
import { currentOffers, newestOf } from '@/core/pricing';
import { formatLength, formatTag } from '@/core/units';
import { linksFor } from './places';

/** Something that can be gone to, or done, by its name. */
export interface Findable {
  key: string;
  kind: 'place' | 'project' | 'part' | 'price' | 'action';
  name: string;
  /** What is told beside the name, and found by too. */
  detail: string;
  href: string;
}

/** With the words that it is found by. */
type Indexed = Findable & { words: Record<'name' | 'detail', string[]> };

interface Sources {
  projects: Project[];
  book: Book;
  /** The project that is open; null: none. */
  project: Project | null;
}

const APP_ACTIONS = [['Open a file', '/']] as const;
const PROJECT_ACTIONS = [
  ['Build from measures', 'parts?open=helpers'],
  ['Paste a list of parts', 'parts?open=paste'],
  ['At the store', 'run'],
  ['One page to print', 'report'],
  ['Cut sheet', 'saw?view=sheet'],
] as const;

/** All that can be found: places, projects, what can be done, parts of the open project, and prices. */
export const findableIn = (sources: Sources): Indexed[] =>
  listed(sources).map((one) => ({ ...one, words: { name: wordsOf(one.name), detail: wordsOf(one.detail) } }));

const listed = ({ projects, book, project }: Sources): Findable[] => [
  ...(project ? ofProject(project) : []),
  ...linksFor('app', '/', '').map(({ name, href }) => ({
    key: href,
    kind: 'place' as const,
    name,
    detail: 'of all projects',
    href,
  })),
  ...projects
    .filter(({ id }) => id !== project?.id)
    .map(({ id, name }) => ({
      key: `project:${id}`,
      kind: 'project' as const,
      name,
      detail: 'its parts',
      href: `/project/${id}/parts`,
    })),
  ...APP_ACTIONS.map(([name, href]) => ({
    key: `do:${name}`,
    kind: 'action' as const,
    name,
    detail: 'among the projects',
    href,
  })),
  ...prices(book, project),
];

const ofProject = (project: Project): Findable[] => {
  const base = `/project/${project.id}/`;
  const letters = partLetters(project);
  const { parts } = resolve(project);
  const sizes = new Map(
    parts.map((part) => [part.id, `${part.count} × ${part.section?.name ?? ''}`.trim()] as const),
  );
  return [
    ...linksFor('project', base, '').map(({ name, href }) => ({
      key: href,
      kind: 'place' as const,
      name,
      detail: project.name,
      href,
    })),
    ...project.groups.flatMap((group) =>
      (chosenOption(group)?.parts ?? []).map((part) => ({
        key: `part:${part.id}`,
        kind: 'part' as const,
        name: [letters[part.id], part.name].filter(Boolean).join(' '),
        detail: [
          sizes.get(part.id),
          part.length && formatLength(part.length.ticks, project.unit),
          `in ${group.name}`,
        ]
          .filter(Boolean)
          .join(' · '),
        href: `${base}parts?open=part:${part.id}`,
      })),
    ),
    ...PROJECT_ACTIONS.map(([name, path]) => ({
      key: `do:${name}`,
      kind: 'action' as const,
      name,
      detail: project.name,
      href: `${base}${path}`,
    })),
    {
      key: 'do:aisle',
      kind: 'action',
      name: 'Enter prices in the aisle',
      detail: project.name,
      href: `/aisle?project=${project.id}`,
    },
  ];
};

/** What each store sells a thing for, the newest. */
const prices = (book: Book, project: Project | null): Findable[] =>
  currentOffers(book).map((offer) => {
    const store = book.stores[offer.storeId];
    return {
      key: `price:${offer.key}`,
      kind: 'price',
      name: tagName(offer.item),
      detail: `${formatTag(newestOf(offer).price, store?.currency ?? '')} at ${store?.name ?? ''}`,
      href: project ? `/project/${project.id}/prices` : '/prices',
    };
  });

/** So many are told. */
const MAX_FOUND = 12;

const wordsOf = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[^\p{L}\p{N}./$]+/u)
    .filter((word) => word !== '');

/**
 * Those of which each word that was typed begins a word, of the name or of what is beside it: found in the name first, the others in
 * their order. Nothing typed finds what comes first.
 */
export const foundBy = (all: Indexed[], typed: string): Findable[] => {
  const wanted = wordsOf(typed);
  if (wanted.length === 0) return all.slice(0, MAX_FOUND);
  const scored = all.flatMap((one) => {
    const { name, detail } = one.words;
    const begins = (words: string[], start: string) => words.some((word) => word.startsWith(start));
    if (!wanted.every((word) => begins(name, word) || begins(detail, word))) return [];
    return [{ one, score: wanted.filter((word) => !begins(name, word)).length }];
  });
  return scored
    .sort((a, b) => a.score - b.score)
    .slice(0, MAX_FOUND)
    .map(({ one }) => one);
};

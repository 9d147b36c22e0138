import { fromMm, parseLength, type LengthUnit, isDay } from '../units';
import { isNearSection } from '../compare';
import { currentOffers, needsOf } from '../pricing';
import {
  isFormula,
  itemKey,
  readFormula,
  resolve,
  recalculated,
  withChanges,
  type Book,
  type Project,
  toolsOf,
} from '../project';
import {
  bookFromJson,
  priceToJson,
  projectFromJson,
  projectToJson,
  purchasesToJson,
  storeToJson,
  type JsonMeasure,
  type JsonPrice,
  type JsonProject,
  type JsonPurchase,
  type JsonStore,
} from '../project/json';
import { schemaProblems, validateProjectFile } from '../project/validation';
import { isFinish, type Material } from '../lumber';
import type { Problem, Result } from '../result';

/** What a project file calls itself. */
export const PROJECT_FORMAT = 'billet-project';
/** The version of project files that is written. */
export const PROJECT_VERSION = 1;

/** What a `*.billet.json` file holds. */
export interface ProjectFile {
  format: typeof PROJECT_FORMAT;
  version: typeof PROJECT_VERSION;
  project: JsonProject;
  stores: JsonStore[];
  prices: JsonPrice[];
  purchases: JsonPurchase[];
  /** What the user says of its materials. */
  materials?: Material[];
}

/** A project with the stores and prices it uses, as the text of a `*.billet.json` file. */
export const writeProjectFile = (project: Project, book: Book): string => {
  const inCurrency: Book = {
    stores: Object.fromEntries(
      Object.entries(book.stores).filter(([, { currency }]) => currency === project.currency),
    ),
    prices: book.prices,
    ...(book.materials ? { materials: book.materials } : {}),
  };
  const needed = pricedFor(project, inCurrency);
  const prices = Object.values(book.prices).filter(
    ({ storeId, item }) => inCurrency.stores[storeId] && needed.has(itemKey(item)),
  );
  const used = new Set([
    ...prices.map(({ storeId }) => storeId),
    ...project.purchases.map(({ storeId }) => storeId),
  ]);
  const file: ProjectFile = {
    format: PROJECT_FORMAT,
    version: PROJECT_VERSION,
    project: projectToJson(withOwnedTools(project, book)),
    stores: Object.values(book.stores)
      .filter(({ id }) => used.has(id))
      .map(storeToJson),
    prices: prices.map(priceToJson),
    purchases: purchasesToJson(project),
    ...(book.materials ? { materials: Object.values(book.materials) } : {}),
  };
  return `${JSON.stringify(file, null, 2)}\n`;
};

/** Tools that are owned go with it, so that it is planned elsewhere as it is here. */
const withOwnedTools = (project: Project, book: Book): Project => {
  const tools = toolsOf(project.settings, book);
  return tools ? { ...project, settings: { ...project.settings, tools } } : project;
};

/**
 * Keys of the items that a project needs a price for, also for what it is compared with: its sections and sheets, and
 * sections near them, in any material, what its other options and alternatives need, and finishes.
 */
const pricedFor = (project: Project, book: Book): Set<string> => {
  const offers = currentOffers(book);
  const ways = [
    project,
    ...project.groups.flatMap(({ id, options }) =>
      options.map((option) =>
        withChanges(project, [{ type: 'chooseOption', groupId: id, optionId: option.id }]),
      ),
    ),
    ...(project.alternatives ?? []).map(({ changes }) => withChanges(project, changes)),
  ];
  const finishes = offers.filter(({ item }) => item.kind === 'hardware' && isFinish(item.name));
  const needs = ways.flatMap((way) =>
    needsOf(
      resolve(way, book.materials).parts.map((part) => ({ ...part, materials: [] })),
      offers,
      toolsOf(way.settings, book),
    ),
  );
  const near = offers.filter(
    (offer) =>
      offer.item.kind === 'board' &&
      needs.some((need) => need.kind === 'board' && isNearSection(offer, need)),
  );
  return new Set(
    [...finishes, ...near, ...needs.flatMap((need) => [...need.offers, ...need.ripped])].map(
      ({ itemKey: key }) => key,
    ),
  );
};

/** Reads the text of a `*.billet.json` file. Every fault at once, each with its place; a newer version is one clear sentence. */
export const readProjectFile = (text: string, name: string): Result<{ project: Project; book: Book }> => {
  const parsed = parseJson(text, name);
  if (!parsed.ok) return parsed;
  const head = parsed.value as (Partial<Omit<ProjectFile, 'version'>> & { version?: unknown }) | null;
  const refuse = (code: string, sentence: string): Result<never> => ({
    ok: false,
    problems: [{ code, place: name, sentence }],
  });
  if (head === null || typeof head !== 'object' || head.format !== PROJECT_FORMAT)
    return refuse('format', 'this is not a Billet project file; one is made by Save to a file in a project');
  if (typeof head.version === 'number' && head.version > PROJECT_VERSION)
    return refuse(
      'newer',
      `this file was written by a newer Billet (file version ${head.version}, and this one reads up to ${PROJECT_VERSION}); update Billet and open it again`,
    );
  if (!validateProjectFile(head)) return { ok: false, problems: schemaProblems(validateProjectFile.errors) };
  const file = head as ProjectFile;
  const problems = meaningProblems(file);
  if (problems.length > 0) return { ok: false, problems };
  return {
    ok: true,
    value: { project: recalculated(projectFromJson(file.project, file.purchases)), book: bookFromJson(file) },
  };
};

const parseJson = (text: string, name: string): Result<unknown> => {
  try {
    return { ok: true, value: JSON.parse(text.replace(/^\uFEFF/, '')) };
  } catch (error) {
    const position = Number(/position (\d+)/.exec(String(error))?.[1] ?? NaN);
    const before = Number.isNaN(position) ? text : text.slice(0, position);
    const line = before.split('\n').length;
    return {
      ok: false,
      problems: [
        {
          code: 'json',
          place: `${name}:${line}`,
          sentence: 'the file breaks off or is damaged here; it is not complete JSON',
        },
      ],
    };
  }
};

/** What a schema cannot say: ids that must agree or differ, measures whose text and millimetres must agree, real dates. */
const meaningProblems = ({ project, stores, prices, purchases }: ProjectFile): Problem[] => {
  const problems: Problem[] = [];
  const fault = (place: string, sentence: string) => problems.push({ code: 'meaning', place, sentence });
  const unique = (entries: { id: string }[], place: string) =>
    entries.forEach(({ id }, index) => {
      if (entries.findIndex((other) => other.id === id) < index)
        fault(`${place}[${index}].id`, `"${id}" is there twice; ids must differ`);
    });
  unique(project.groups, 'project.groups');
  unique(stores, 'stores');
  unique(prices, 'prices');
  unique(purchases, 'purchases');
  unique(
    project.groups.flatMap(({ options }) => options.flatMap(({ parts }) => parts)),
    'parts',
  );
  project.groups.forEach((group, index) => {
    if (!group.options.some(({ id }) => id === group.chosen))
      fault(`project.groups[${index}].chosen`, `"${group.chosen}" is none of the options of the group`);
  });
  for (const store of stores)
    if (store.currency !== project.currency)
      fault(`stores: ${store.name}`, `is in ${store.currency}, and the project in ${project.currency}`);
  prices.forEach(({ storeId, date }, index) => {
    if (!stores.some(({ id }) => id === storeId))
      fault(`prices[${index}].storeId`, `"${storeId}" is none of the stores in the file`);
    if (date !== null && !isDay(date))
      fault(`prices[${index}].date`, `"${date}" is not a day of the calendar`);
  });
  purchases.forEach(({ date }, index) => {
    if (!isDay(date)) fault(`purchases[${index}].date`, `"${date}" is not a day of the calendar`);
  });
  measureProblems({ project }, '', [project.unit], fault);
  measureProblems({ prices, purchases }, '', ['in', 'mm'], fault);
  return problems;
};

/** The text of a length, in one of `units` where it has none of its own, must say what its millimetres say. */
const measureProblems = (
  value: unknown,
  place: string,
  units: LengthUnit[],
  fault: (place: string, sentence: string) => void,
): void => {
  if (Array.isArray(value))
    value.forEach((entry, index) => measureProblems(entry, `${place}[${index}]`, units, fault));
  else if (value !== null && typeof value === 'object') {
    if ('mm' in value && 'text' in value) checkMeasure(value as JsonMeasure);
    else
      for (const [key, entry] of Object.entries(value))
        measureProblems(entry, place === '' ? key : `${place}.${key}`, units, fault);
  }

  function checkMeasure({ text, mm }: JsonMeasure): void {
    if (isFormula(text, units[0] ?? 'in') && readFormula(text).ok) return;
    const readings = units.map((unit) => parseLength(text, unit));
    const agrees = readings.some((reading) => reading.ok && Math.abs(reading.value - fromMm(mm)) <= 1);
    if (!agrees) fault(place, `"${text}" is not ${mm} mm; write the same length in both`);
  }
};

/** A name for the file of a project: letters and digits of its name. */
export const projectFileName = (project: Pick<Project, 'name'>): string => `${fileBase(project)}.billet.json`;

/** What the names of all files of a project begin with. */
export const fileBase = ({ name }: Pick<Project, 'name'>): string =>
  name
    .trim()
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '') || 'project';

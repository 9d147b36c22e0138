import { groupBy } from '../groupBy';
import { toMm } from '../units';
import { currentOffers, type Offer } from '../pricing';
import { shownPlan, type Plan } from '../plan';
import {
  chosenOption,
  emptyExtra,
  madeNow,
  resolve,
  tagName,
  type Book,
  type Extra,
  type Group,
  type Project,
  usesStore,
} from '../project';
import { isTreated, materialOf, TALL, wantsFinish } from '../lumber';
import { hazardContext } from './hazardContext';
import { isFinished } from './fit';
import { finishFor } from './demands';
import { madeOf, type Made } from './made';
import { isLined, plainSteelIn, wantsLiner } from './wants';

/** Something that people forget to buy, or to do, for what is planned here. */
export interface Forgotten {
  /** By it it is dismissed for good. */
  id: string;
  title: string;
  sentence: string;
  source: string;
  /** What would be bought; null: there is nothing to buy, it is to be looked at. */
  wants: { extra: Omit<Extra, 'id'>; isTool: boolean; isPriced: boolean } | null;
}

const PRACTICE = 'common practice';

/** What the rules look at. */
interface Facts {
  project: Project;
  book: Book;
  made: Made[];
  groups: Group[];
  /** Names of all that is planned, bought, on the rack or owned. */
  names: string[];
  offers: Offer[];
  plan: Plan | null;
}

type Rule = (facts: Facts) => Forgotten[];

/** What is often forgotten and is missing here, dismissed ones aside, in the order in which it is needed. */
export const forgottenIn = (project: Project, book: Book, plan: Plan | null): Forgotten[] => {
  const shown = shownPlan(plan);
  const facts: Facts = {
    project,
    book,
    made: shown ? madeOf(project, book, shown) : [],
    groups: madeNow(project),
    names: namesOf(project, book),
    offers: currentOffers(book).filter(({ storeId }) => usesStore(project, book.stores[storeId])),
    plan: shown,
  };
  const dismissed = new Set(project.dismissed);
  return RULES.flatMap((rule) => rule(facts)).filter(({ id }) => !dismissed.has(id));
};

const namesOf = (project: Project, book: Book): string[] => [
  ...resolve(project, book.materials)
    .parts.filter(({ kind }) => kind === 'hardware')
    .map(({ item }) => item),
  ...project.extras.flatMap(({ name, item }) => [name, item]),
  ...project.purchases.flatMap(({ lines }) => lines.map(({ item }) => tagName(item))),
  ...Object.values(book.rack ?? {}).map(({ item }) => tagName(item)),
  ...Object.values(book.tools ?? {}).map(({ name }) => name),
  ...(project.work?.tools ?? []).map(({ name }) => name),
];

const has = ({ names }: Facts, words: RegExp): boolean => names.some((name) => words.test(name));

/** One thing to buy: as a store of the book sells it, where one does. */
const thing = ({ offers }: Facts, name: string, words: RegExp, isTool = false): Forgotten['wants'] => {
  const sold = offers
    .filter((offer) => offer.item.kind === 'hardware' && words.test(offer.name) && offer.available !== 0)
    .sort((a, b) => (a.tiers[0]?.unitPrice ?? 0) - (b.tiers[0]?.unitPrice ?? 0))[0];
  const { id: _, ...blank } = emptyExtra('');
  const category = isTool ? ('tools' as const) : ('consumables' as const);
  return {
    extra: { ...blank, name, item: sold?.name ?? '', amount: '1', category },
    isTool,
    isPriced: sold !== undefined,
  };
};

/** A rule for one thing that is missing whenever `when` holds and nothing there is called so. */
const missing =
  (
    id: string,
    title: string,
    sentence: string,
    words: RegExp,
    when: (facts: Facts) => boolean,
    isTool = false,
  ): Rule =>
  (facts) =>
    when(facts) && !has(facts, words)
      ? [{ id, title, sentence, source: PRACTICE, wants: thing(facts, title.toLowerCase(), words, isTool) }]
      : [];

const joints = ({ groups }: Facts) => groups.flatMap((group) => chosenOption(group)?.joints ?? []);
const isJoined = (facts: Facts, ...hows: string[]) => joints(facts).some(({ how }) => hows.includes(how));
const isTreatedHere = ({ made, book }: Facts) =>
  made.some(({ material }) => isTreated(material, book.materials));
const hasScrews = (facts: Facts) => isJoined(facts, 'through', 'pocket') || has(facts, /\bscrews?\b/i);

/** Bare wood outdoors that wants a finish, group by group. */
const bareOutdoors: Rule = ({ project, book, made, groups, offers }) =>
  groups.flatMap((group): Forgotten[] => {
    const bare = made.find(
      (one) =>
        one.group.id === group.id && wantsFinish(materialOf(one.material, book.materials), group.exposure),
    );
    if (!bare || isFinished(group, project)) return [];
    const found = finishFor(group, project, book, offers);
    const { id: _, ...blank } = emptyExtra('');
    const covers = project.unit === 'in' ? '60 ft2' : '5 m2';
    const extra = {
      ...blank,
      name: 'Finish',
      rule: 'finish' as const,
      groupId: group.id,
      coats: 2,
      covers,
      category: 'finish' as const,
    };
    return [
      {
        id: `finish:${group.id}`,
        title: `A finish for ${group.name}`,
        sentence: `${bare.material} there wants paint, stain or oil, and that is part of its price.`,
        source: PRACTICE,
        wants: {
          extra: found ? { ...extra, ...found, category: 'finish' } : extra,
          isTool: false,
          isPriced: found !== null,
        },
      },
    ];
  });

/** Plain steel in treated wood, group by group. */
const plainSteel: Rule = ({ project, book, made }) => {
  const treated = new Set(
    made.filter(({ material }) => isTreated(material, book.materials)).map(({ group }) => group.id),
  );
  const plain = groupBy(plainSteelIn(treated, project, book), ({ groupId }) => groupId);
  return plain.flatMap((items): Forgotten[] =>
    items.slice(0, 1).map(({ groupId, group }) => ({
      id: `steel:${groupId}`,
      title: `Coated steel for ${group}`,
      sentence: `Treated wood eats plain steel. The name says no coat for ${[...new Set(items.map(({ item }) => item))].join(', ')}: read the tag for hot-dip galvanised, coated or stainless, or choose another under Parts.`,
      source: 'International Residential Code R317.3, from memory',
      wants: null,
    })),
  );
};

/** A liner between treated wood and soil for food, where the project holds with that. */
const liner: Rule = (facts) =>
  facts.made.some(
    ({ material, group }) =>
      isTreated(material, facts.book.materials) &&
      wantsLiner(group, facts.project) &&
      !isLined(group, facts.project),
  ) && !has(facts, /liner|membrane/i)
    ? [
        {
          id: 'liner',
          title: 'A liner',
          sentence: 'Treated wood touches soil for food, and this project lines it.',
          source: PRACTICE,
          wants: thing(facts, 'liner', /liner|membrane/i),
        },
      ]
    : [];

const staples: Rule = ({ plan }) =>
  (plan?.buys ?? []).some(({ item }) => /from rough/.test(item))
    ? [
        {
          id: 'staples',
          title: 'Staples out before the planer',
          sentence: 'Rough boards carry tags and staples: pull them all, or the knives pay.',
          source: PRACTICE,
          wants: null,
        },
      ]
    : [];

const isFinishedAtAll = ({ project }: Facts) => project.extras.some(({ rule }) => rule === 'finish');
const cuts = ({ plan }: Facts, kind: 'board' | 'sheet') =>
  (plan?.layouts ?? []).some((layout) => layout.kind === kind);
const rips = ({ plan }: Facts) =>
  (plan?.layouts ?? []).some(
    (layout) => layout.kind === 'board' && layout.cuts.some((cut) => cut.kind === 'rip'),
  );
/** Shorter posts stand on the ground, or inside a box: rule of thumb (4 ft), in millimetres. */
const LONG_POST = 1200;

const postsInGround = ({ groups }: Facts) =>
  groups.some(
    (group) =>
      group.exposure === 'ground' &&
      (chosenOption(group)?.parts ?? []).some(
        ({ name, length }) => /\bposts?\b/i.test(name) && toMm(length?.ticks ?? 0) >= LONG_POST,
      ),
  );

const RULES: Rule[] = [
  bareOutdoors,
  plainSteel,
  liner,
  missing(
    'glue',
    'Wood glue',
    'Some joints are glued, and no glue is planned.',
    /\bglue|adhesive\b/i,
    (facts) => isJoined(facts, 'nail') || isJoined(facts, 'glue'),
  ),
  missing(
    'bit:pocket',
    'Pocket-hole jig and bit',
    'Pocket screws want a jig, a stepped bit and a long driver.',
    /pocket.*(jig|bit)|stepped bit/i,
    (facts) => isJoined(facts, 'pocket'),
    true,
  ),
  missing(
    'bit:bolt',
    'Drill bit for the bolts',
    'Bolts want a bit of their size, as long as both pieces are thick.',
    /\b(drill|auger|wood) bits?\b/i,
    (facts) => isJoined(facts, 'bolt'),
    true,
  ),
  missing(
    'bit:driver',
    'Driver and pilot bits',
    'Screws want a bit that fits their heads, and pilot holes near ends.',
    /\b(driver|pilot|drill) bits?\b|bit set/i,
    hasScrews,
    true,
  ),
  missing(
    'blade:sheet',
    'Fine saw blade',
    'Sheets tear out under a coarse blade; a fine one costs less than a spoilt sheet.',
    /\bblades?\b/i,
    (facts) => cuts(facts, 'sheet'),
    true,
  ),
  missing(
    'blade:rip',
    'Rip blade',
    'Boards are ripped here; a rip blade cuts with the grain and does not burn.',
    /\bblades?\b/i,
    rips,
    true,
  ),
  staples,
  missing(
    'concrete',
    'Concrete or gravel',
    'Posts stand in the ground; most are set in concrete or packed gravel.',
    /concrete|gravel|post anchor/i,
    postsInGround,
  ),
  missing(
    'sandpaper',
    'Sandpaper',
    'What is finished is sanded first, and between coats.',
    /sand(ing|paper)|abrasive/i,
    isFinishedAtAll,
  ),
  missing(
    'brush',
    'Brush or roller',
    'The finish wants something to put it on with.',
    /\b(brush|roller|rag)/i,
    isFinishedAtAll,
  ),
  missing(
    'gloves',
    'Gloves and a dust mask',
    'Treated wood is handled with gloves and sawn with a mask.',
    /glove|dust mask/i,
    isTreatedHere,
  ),
  missing(
    'anchor',
    'Wall fixings',
    'It stands tall indoors and must be fixed to the wall.',
    /anchor|wall (plug|bracket|strap|fixing)|anti-tip|toggle/i,
    ({ project, book, plan }) => hazardContext(project, book, plan).tall >= TALL,
  ),
];

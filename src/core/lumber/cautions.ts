/** What is on screen that a caution may be about. */
export interface HazardContext {
  /** Treated wood is bought or cut. */
  treated: boolean;
  /** And food or its soil touches it. */
  nearFood: boolean;
  /** Fibreboard or strand board is cut. */
  fibreboard: boolean;
  /** Boards are ripped. */
  rips: boolean;
  /** The narrowest strip that is ripped, in millimetres; null: none. */
  narrowestStrip: number | null;
  /** Something is cut at all. */
  saws: boolean;
  /** The heaviest thing to carry, in kilograms. */
  heaviest: number;
  /** Whole sheets, or boards longer than a car. */
  large: boolean;
  /** It stands tall indoors, in millimetres; zero: it does not. */
  tall: number;
  /** It carries people. */
  carriesPeople: boolean;
  /** It stands next to heat. */
  nearHeat: boolean;
}

/** What to take care of, and what it comes from. */
export interface Caution {
  id: string;
  /** Two or three words. */
  title: string;
  sentence: string;
  source: string;
  when: (at: HazardContext) => boolean;
}

const PRACTICE = 'common practice';

/** Two people from here on, in kilograms: rule of thumb, from memory (about 50 lb). */
const TWO_PEOPLE = 23;
/** Strips narrower than so many millimetres are thin: rule of thumb (1 1/2 in). */
const THIN_STRIP = 40;
/** What stands higher than so many millimetres indoors is fixed to the wall: rule of thumb (about 30 in). */
export const TALL = 762;

/** Every caution, in the order in which they are shown. Each defers to the tool's manual, local codes and licensed practice. */
export const CAUTIONS: Caution[] = [
  {
    id: 'treated',
    title: 'Treated wood',
    sentence:
      'Wear gloves, and a mask when sawing. Never burn the scraps. Not for surfaces that food touches. Fasten it with coated or stainless steel.',
    source: 'International Residential Code R317.3 for the fasteners (from memory); the rest common practice',
    when: ({ treated }) => treated,
  },
  {
    id: 'treated-food',
    title: 'Treated wood and food',
    sentence: 'Keep it from surfaces that food touches; where its soil would, line it or take cedar.',
    source: PRACTICE,
    when: ({ treated, nearFood }) => treated && nearFood,
  },
  {
    id: 'fibreboard',
    title: 'Fibreboard dust',
    sentence: 'It is fine and holds glue: wear a mask, collect the dust, and saw it outdoors if you can.',
    source: PRACTICE,
    when: ({ fibreboard }) => fibreboard,
  },
  {
    id: 'ripping',
    title: 'Ripping on a table saw',
    sentence:
      'Guard and riving knife on, push stick in hand, nobody behind the board. The saw’s manual comes first.',
    source: PRACTICE,
    when: ({ rips }) => rips,
  },
  {
    id: 'thin-strips',
    title: 'Thin strips',
    sentence: 'Let a thin strip fall on the far side of the blade, not between blade and fence.',
    source: PRACTICE,
    when: ({ narrowestStrip }) => narrowestStrip !== null && narrowestStrip <= THIN_STRIP,
  },
  {
    id: 'saw',
    title: 'At the saw',
    sentence: 'Wear eye and hearing protection, and clamp or hold the piece before the cut.',
    source: PRACTICE,
    when: ({ saws }) => saws,
  },
  {
    id: 'heavy',
    title: 'Heavy to carry',
    sentence:
      'Whole sheets and heavy or wet boards want two people. Tie the load down, and mark what sticks out by the road rules.',
    source: PRACTICE,
    when: ({ heaviest, large }) => large || heaviest >= TWO_PEOPLE,
  },
  {
    id: 'tipping',
    title: 'Tall: fix it to the wall',
    sentence:
      'What stands tall tips when it is climbed or loaded high: fasten it to studs or masonry, as local codes ask.',
    source: PRACTICE,
    when: ({ tall }) => tall >= TALL,
  },
  {
    id: 'people',
    title: 'Carries people',
    sentence:
      'Billet does not reckon strength. What people sit, climb or sleep on wants a proven design, and local codes where they apply.',
    source: PRACTICE,
    when: ({ carriesPeople }) => carriesPeople,
  },
  {
    id: 'heat',
    title: 'Near heat',
    sentence:
      'Keep wood away from stoves, flues and heaters as their manuals and local codes say; ask a licensed installer.',
    source: PRACTICE,
    when: ({ nearHeat }) => nearHeat,
  },
];

/** Words in the names of a project and its groups that tell what it carries, or stands by. */
const PEOPLE =
  /\b(seats?|stool|steps?|stairs?|ladder|loft|bunk|swing|deck|platform|bridge|climb\w*|rail(?:ing)?s? for people)\b/i;
const HEAT = /\b(stove|oven|heater|fire ?place|hearth|flue|sauna|grill|kiln|boiler)\b/i;

/** Whether a name says that people sit, lie or stand on it. */
export const carriesPeople = (names: string[]): boolean => names.some((name) => PEOPLE.test(name));
/** Whether a name says that it stands where it is hot. */
export const standsByHeat = (names: string[]): boolean => names.some((name) => HEAT.test(name));

/** The cautions that apply. */
export const cautionsFor = (at: HazardContext): Caution[] => CAUTIONS.filter(({ when }) => when(at));

import type { Ticks } from '../units';
import type { Material } from './materials';

/** What is known of a wood beside its density. */
export interface WoodProperties {
  /** Janka hardness of the side, at 12 % moisture, in pounds-force. */
  hardness: number;
  /** Shrinkage from green to oven-dry across the rings and along them, in percent of the width. */
  radial: number;
  tangential: number;
  /** Durability class of its heartwood against fungi: 1 very durable to 5 not durable; a range where lots differ. */
  durability: string;
}

/** Where they are from. */
export const PROPERTIES_SOURCE =
  'Forest Products Laboratory, Wood Handbook, FPL-GTR-282: hardness ch. 5, tables 5-3 and 5-5; shrinkage ch. 4, table 4-3. Durability classes: EN 350. All from memory';

/** Hardness, radial and tangential shrinkage, durability class, by species. */
// prettier-ignore
const TABLE: Partial<Record<string, [hardness: number, radial: number, tangential: number, durability: string]>> = {
  redwood: [480, 2.6, 4.4, '2'],
  'western redcedar': [350, 2.4, 5.0, '2'],
  'Douglas-fir': [710, 4.8, 7.6, '3'],
  larch: [830, 4.5, 9.1, '3-4'],
  'southern pine': [690, 4.8, 7.4, '3'],
  pine: [460, 3.9, 6.2, '4'],
  'spruce-pine-fir': [480, 4.7, 8.2, '4'],
  'Alaska yellow-cedar': [580, 2.8, 6.0, '2'],
  'northern white-cedar': [320, 2.2, 4.9, '2'],
  'eastern redcedar': [900, 3.1, 4.7, '2'],
  'incense-cedar': [470, 3.3, 5.2, '2'],
  'Sitka spruce': [510, 4.3, 7.5, '4-5'],
  'Norway spruce': [380, 3.9, 8.0, '4'],
  'Scots pine': [540, 4.0, 7.7, '3-4'],
  'eastern white pine': [380, 2.1, 6.1, '4'],
  'radiata pine': [710, 3.4, 6.7, '4-5'],
  'balsam or grand fir': [490, 3.4, 7.5, '5'],
  'white oak': [1360, 5.6, 10.5, '2-3'],
  'red oak': [1290, 4.0, 8.6, '4'],
  maple: [1450, 4.8, 9.9, '5'],
  'yellow-poplar': [540, 4.6, 8.2, '5'],
  'western hemlock': [540, 4.2, 7.8, '4'],
  baldcypress: [510, 3.8, 6.2, '3'],
  'black walnut': [1010, 5.5, 7.8, '3'],
  'black cherry': [950, 3.7, 7.1, '3-5'],
  beech: [1300, 5.5, 11.9, '5'],
  'white ash': [1320, 4.9, 7.8, '5'],
  birch: [1260, 7.3, 9.5, '5'],
  'red alder': [590, 4.4, 7.3, '5'],
  basswood: [410, 6.6, 9.3, '5'],
  'black locust': [1700, 4.6, 7.2, '1-2'],
  chestnut: [540, 3.4, 6.7, '2'],
  mahogany: [800, 3.0, 4.1, '2'],
  teak: [1000, 2.5, 5.8, '1'],
  ipe: [3680, 6.6, 8.0, '1'],
  'soft maple': [950, 4.0, 8.2, '5'],
  'European oak': [1120, 4.0, 8.5, '2-4'],
  hickory: [1820, 7.0, 10.5, '4'],
  aspen: [350, 3.5, 6.7, '5'],
  cottonwood: [430, 3.9, 9.2, '5'],
  sycamore: [770, 5.0, 8.4, '5'],
  elm: [830, 4.2, 9.5, '4'],
  sweetgum: [850, 5.3, 10.2, '5'],
  sapele: [1500, 4.6, 7.4, '3'],
  meranti: [780, 3.9, 7.8, '2-4'],
  iroko: [1260, 2.8, 3.8, '1-2'],
};

/** What is known of the wood of a material; null: nothing, as of panels. */
export const propertiesOf = ({
  species,
  panel,
}: Pick<Material, 'species' | 'panel'>): WoodProperties | null => {
  const row = panel ? undefined : TABLE[species];
  if (!row) return null;
  const [hardness, radial, tangential, durability] = row;
  return { hardness, radial, tangential, durability };
};

/** Moisture at which wood begins to shrink, in percent, and how much it takes up from a heated winter to a damp summer indoors. */
const SATURATION = 30;
const SEASONS = 4;

/**
 * How much a flat-sawn board of a width moves over the seasons indoors, in ticks: width x tangential shrinkage x 4 % of moisture
 * over the 30 % at which shrinking begins (Wood Handbook, ch. 13, in its linear form; from memory). Null where nothing is known.
 */
export const seasonalMovement = (
  material: Pick<Material, 'species' | 'panel'>,
  width: Ticks,
): Ticks | null => {
  const known = propertiesOf(material);
  return known && Math.round((width * known.tangential * SEASONS) / (100 * SATURATION));
};

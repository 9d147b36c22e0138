import type { Minor } from '../units';
import { keptMoney, tagName, type Charge, type Project } from '../project';

/** One tool in what a project costs. */
export interface ToolCost {
  id: string;
  name: string;
  price: Minor;
  charge: Charge;
  /** What of its price counts all in. */
  counted: Minor;
  /** Where it stands in the ledger, and so is at the till; null: it is told beside it. */
  at: { purchaseId: string; line: number } | null;
}

/** The three answers to "what did it cost?", for all that is built, and what the third is made of. */
export interface Costs {
  builds: number;
  /** Shares of what is bought that are used up. */
  inPiece: Minor;
  /** Whole boards, boxes and cans, with tax, trips and shipping; tools bought, whole. */
  atTill: Minor;
  /** At the till, with each tool as it counts, travel, power, hours at their rate, and whatever else was told. */
  allIn: Minor;
  tools: ToolCost[];
  /** Of what is at the till, tools that are still to buy. */
  toolsToBuy: Minor;
  travel: Minor;
  power: Minor;
  labour: Minor;
  otherCosts: Minor;
}

/** A tool that nothing is said of counts whole. */
export const WHOLE: Charge = { way: 'whole', over: 1 };

const countedOf = (price: Minor, { way, over }: Charge): Minor =>
  way === 'out' ? 0 : way === 'spread' ? Math.round(price / Math.max(1, over)) : price;

/** Tools of the ledger, and those told beside it. */
export const toolCosts = ({ purchases, work }: Pick<Project, 'purchases' | 'work'>): ToolCost[] => [
  ...purchases.flatMap(({ id, lines }) =>
    lines.flatMap((line, index): ToolCost[] => {
      const price = keptMoney(line);
      const { charge = WHOLE } = line;
      return line.category === 'tools'
        ? [
            {
              id: `${id}:${index}`,
              name: tagName(line.item),
              price,
              charge,
              counted: countedOf(price, charge),
              at: { purchaseId: id, line: index },
            },
          ]
        : [];
    }),
  ),
  ...(work?.tools ?? []).map((tool): ToolCost => ({
    ...tool,
    counted: countedOf(tool.price, tool.charge),
    at: null,
  })),
];

/** The hours for all that is built; null: not told. */
export const hoursOf = ({ work, builds }: Pick<Project, 'work' | 'builds'>): number | null =>
  work?.hours === null || work?.hours === undefined ? null : work.hours * (work.isHoursEach ? builds : 1);

/** The three costs of a project from what it uses up and what it comes to at the till. */
export const costsOf = (
  project: Project,
  { inPiece, atTill, toolsToBuy = 0 }: { inPiece: Minor; atTill: Minor; toolsToBuy?: Minor },
): Costs => {
  const { work, builds } = project;
  const tools = toolCosts(project);
  const travel = Math.round((work?.travel?.distance ?? 0) * (work?.travel?.rate ?? 0));
  const power = Math.round((work?.power?.kilowattHours ?? 0) * (work?.power?.rate ?? 0));
  const labour = Math.round((hoursOf(project) ?? 0) * (work?.rate ?? 0));
  const otherCosts = work?.beside ?? 0;
  const inLedger = tools.filter(({ at }) => at !== null).reduce((sum, { price }) => sum + price, 0);
  const counted = tools.reduce((sum, tool) => sum + tool.counted, 0);
  const allIn = atTill - inLedger + counted + travel + power + labour + otherCosts;
  return { builds, inPiece, atTill, allIn, tools, toolsToBuy, travel, power, labour, otherCosts };
};

/** A share of a sum for one of those that are built. */
export const eachOf = (sum: Minor, { builds }: { builds: number }): Minor => Math.round(sum / builds);

/** Materials three times is a common asking price (common practice). */
const TIMES_MATERIALS = 3;

/** What one could be asked for, and what an offer for one brings. All for one; null: not told. */
export interface PricingAnalysis {
  /** So that the margin is gain. */
  byMargin: Minor | null;
  byMaterials: Minor;
  /** Below the cheapest that is sold ready made. */
  byReadyMade: Minor | null;
  offer: Offered | null;
}

/** What someone offers, held against what it cost. */
export interface Offered {
  price: Minor;
  /** Offer less the till: below zero, money is paid to give it away. */
  overTill: Minor;
  overAllIn: Minor;
  /** What an hour earns; null where hours are not told. */
  anHour: Minor | null;
  /** So many must be sold at it before tools are paid; null: never. */
  breakEven: number | null;
}

/** What a thing is worth by its costs, by ready-made prices, and at an offer. */
export const pricingAnalysis = (project: Project, costs: Costs): PricingAnalysis => {
  const { work, readyMade = [] } = project;
  const cheapest = readyMade.length > 0 ? Math.min(...readyMade.map(({ price }) => price)) : null;
  const bought = costs.tools.filter(({ at }) => at !== null).reduce((sum, { price }) => sum + price, 0);
  const tools = bought + costs.toolsToBuy;
  return {
    byMargin: work?.margin === undefined ? null : Math.round(eachOf(costs.allIn, costs) / (1 - work.margin)),
    byMaterials: eachOf(costs.atTill - tools, costs) * TIMES_MATERIALS,
    byReadyMade: cheapest === null ? null : Math.round(cheapest * (1 - (work?.below ?? 0))),
    offer:
      work?.offer === undefined || work.offer === null ? null : offered(work.offer, hoursOf(project), costs),
  };
};

const offered = (price: Minor, hours: number | null, costs: Costs): Offered => {
  const till = eachOf(costs.atTill, costs);
  const perHour = hours !== null && hours > 0 ? hours / costs.builds : null;
  const withoutHours = eachOf(costs.allIn - costs.labour, costs);
  // What is paid once, however many are made; all else is paid for each.
  const once = costs.tools
    .filter(({ charge }) => charge.way !== 'out')
    .reduce((sum, tool) => sum + tool.price, 0);
  const counted = costs.tools.reduce((sum, tool) => sum + tool.counted, 0);
  const gain = price - eachOf(costs.allIn - counted, costs);
  return {
    price,
    overTill: price - till,
    overAllIn: price - eachOf(costs.allIn, costs),
    anHour: perHour === null ? null : Math.round((price - withoutHours) / perHour),
    breakEven: gain > 0 ? Math.max(1, Math.ceil(once / gain)) : null,
  };
};

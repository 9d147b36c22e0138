import { costsOf, hoursOf, eachOf } from '../budget';
import type { Minor } from '../units';
import type { Project, ReadyMade } from '../project';
import type { Outcome } from './outcome';

/** What building comes to beside what it costs ready made; for one of the project. */
export interface BuildOrBuy {
  /** Shares of what is bought that are used up. */
  inPiece: Minor;
  /** Whole boards, boxes and cans, with tax, trips and shipping. */
  atTill: Minor;
  /** With tools, blades and power, and hours at their rate where they are counted. */
  allIn: Minor;
  /** Cheapest first. */
  readyMade: Compared[];
}

interface Compared extends ReadyMade {
  /** Of its price, against all in; below zero where building costs more. */
  shareSaved: number;
  /** What an hour of building earns: its price less what is spent beside hours; null where hours are not told. */
  anHour: Minor | null;
}

/** Sums of a project that is built against ready-made prices. Hours and what is beside the till are for all that is built. */
export const buildOrBuy = (project: Project, outcome: Outcome): BuildOrBuy => {
  const { builds, readyMade = [] } = project;
  const costs = costsOf(project, outcome);
  const hours = hoursOf(project) ?? 0;
  const beside = costs.allIn - costs.labour;
  const allIn = eachOf(costs.allIn, costs);
  return {
    inPiece: eachOf(costs.inPiece, costs),
    atTill: eachOf(costs.atTill, costs),
    allIn,
    readyMade: [...readyMade]
      .sort((a, b) => a.price - b.price)
      .map((seen) => ({
        ...seen,
        shareSaved: seen.price > 0 ? (seen.price - allIn) / seen.price : 0,
        anHour: hours > 0 ? Math.round((seen.price * builds - beside) / hours) : null,
      })),
  };
};

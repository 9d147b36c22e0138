import { nameKey } from '../../wood';
import { assemble, type Basket } from '../assemble';
import { lowerBound } from '../bound';
import { till } from '../buying';
import { fitsInCar } from '../carry';
import { firstPlan } from '../firstPlan';
import type { PlanInput } from '../input';
import { boardPieces, room, type BoardPiece, type FilledBoard } from '../packBoards';
import { materialsFor } from '../problems';
import { stocksOf, type Stock } from '../stock';
import type { Plan } from '../types';
import { programText, type Program } from './model';
import { fullPatterns } from './patterns';
import type { Pattern, PatternStock, PieceType, SolveProgram } from './types';

export type { SolveProgram } from './types';

/** More patterns than these are not all handed to the solver: then no proof is tried. */
const MOST_PATTERNS = 4000;

/**
 * The cheapest plan for boards that are crosscut and hardware, found over every full pattern of every stock in one
 * program with stores, packs, tiers and trips. `proved` where the solver closed it in the time and the rules that it
 * leaves out (slants that nest, ripping, sheets, the car) play no part; else the better of it and the first plan,
 * `bounded`.
 */
export const bestPlan = (input: PlanInput, solve: SolveProgram, seconds: number): Plan => {
  const first = firstPlan(input);
  if (first.status === 'infeasible' || !isWithinRules(input)) return first;
  const program = programOf(input);
  if (!program) return first;
  const { text, purchases } = programText(program);
  const solved = solve(text, seconds);
  if (!solved) return first;
  const bought = new Map(purchases.map(({ name, offer }) => [name, { offer, quantity: Math.round(solved.values(name)) }])); // prettier-ignore
  const basket: Basket = {
    boards: boardsOf(program, (index) => Math.round(solved.values(`x${index}`))),
    sheets: [],
    purchases: [...bought.values()].filter(({ quantity }) => quantity > 0),
  };
  const plan = assemble(input, basket);
  if (!solved.isOptimal) {
    const best = plan.total < first.total ? plan : first;
    return { ...best, lowerBound: Math.min(best.total, lowerBound(input)) };
  }
  const withoutSpares = assemble({ ...input, settings: { ...input.settings, spare: {} } }, basket).total;
  // What the solver left out can only make the first plan cheaper by a fault of ours: then nothing is proved.
  if (withoutSpares > first.total && Object.keys(input.settings.spare ?? {}).length === 0) return first;
  return { ...plan, status: 'proved', lowerBound: withoutSpares };
};

/** Whether the program holds every rule that this input calls for. */
export const isWithinRules = ({ parts, settings, offers }: PlanInput): boolean =>
  !settings.tools?.includes('table-saw') &&
  parts.every(({ kind, ends }) => kind === 'hardware' || (kind === 'board' && ends.shape === 'square')) &&
  offers.every((offer) => offer.item.kind === 'hardware' || fitsInCar(offer, settings));

/** The program of an input; null where its patterns are too many. */
const programOf = (input: PlanInput): (Program & { sources: PatternStock[] }) | null => {
  const boards = input.parts.filter(({ kind }) => kind === 'board');
  const types = typesOf(boardPieces(boards, input.settings), input);
  const sources = sourcesOf(input);
  const patterns: Pattern[] = [];
  for (const source of sources) {
    const { thickness, width } = source.stock.offers[0] ??
      source.stock.owned[0] ?? { thickness: 0, width: 0 };
    const here = types.map((type) => {
      const [piece] = type.pieces;
      const isOfSection = piece?.part.thickness === thickness && piece.part.width === width;
      return isOfSection ? type : { ...type, size: Infinity };
    });
    const full = fullPatterns(source, here, MOST_PATTERNS - patterns.length);
    if (!full) return null;
    patterns.push(...full);
  }
  const stocks = sources.map((source) => ({
    offers: source.stock.offers,
    owned: source.stock.ownedCount,
    patterns: patterns.flatMap((pattern, index) => (pattern.stock === source ? [index] : [])),
  }));
  return { input, types, patterns, stocks, bought: hardwareOf(input), sources };
};

const typesOf = (pieces: BoardPiece[], { settings }: PlanInput): PieceType[] => {
  const types = new Map<string, PieceType>();
  for (const piece of pieces) {
    const { part } = piece;
    const size = piece.reach - piece.slack + settings.kerf.ticks;
    const materials = [...part.materials].map(nameKey).sort();
    const key = `${part.thickness}x${part.width}:${size}:${materials.join('|')}`;
    const type = types.get(key) ?? { size, demand: 0, pieces: [], materials: part.materials };
    type.demand++;
    type.pieces.push(piece);
    types.set(key, type);
  }
  return [...types.values()];
};

/** Every stock of every section and material that a part may be cut from. */
const sourcesOf = (input: PlanInput): PatternStock[] => {
  const tillOf = till(input.stores, input.settings);
  const sources = new Map<string, PatternStock>();
  for (const part of input.parts.filter(({ kind }) => kind === 'board'))
    for (const material of materialsFor(part, input))
      for (const stock of stocksOf('board', part.thickness, part.width, material, input, tillOf)) {
        const key = `${part.thickness}x${part.width}:${material}:${stock.length}`;
        const source = {
          stock,
          material,
          room: room(stock.length, input.settings) + input.settings.kerf.ticks,
        };
        if (!sources.has(key)) sources.set(key, source);
      }
  return [...sources.values()];
};

const hardwareOf = ({ parts, offers, owned }: PlanInput): Program['bought'] => {
  const counts = new Map<string, number>();
  for (const { kind, item, count } of parts)
    if (kind === 'hardware') counts.set(nameKey(item), (counts.get(nameKey(item)) ?? 0) + count);
  return [...counts].map(([item, count]) => ({
    offers: offers.filter((offer) => offer.item.kind === 'hardware' && nameKey(offer.name) === item),
    count:
      count -
      owned
        .filter((pile) => pile.kind === 'hardware' && nameKey(pile.name) === item)
        .reduce((sum, pile) => sum + pile.count, 0),
  }));
};

/** Boards as the patterns say, each piece once: what a pattern has too many of is left off. */
const boardsOf = (program: Program, times: (pattern: number) => number): FilledBoard[] => {
  const left = program.types.map(({ pieces }) => [...pieces]);
  return program.patterns.flatMap(({ stock, counts }, index) =>
    Array.from({ length: times(index) }, () =>
      counts.flatMap(([type, count]) => left[type]?.splice(0, count) ?? []),
    )
      .filter((pieces) => pieces.length > 0)
      .map((pieces) => filled(stock.stock, pieces)),
  );
};

const filled = (stock: Stock, pieces: BoardPiece[]): FilledBoard => ({
  stock,
  pieces,
  used: pieces.reduce((sum, piece, index) => sum + piece.reach + (index > 0 ? Math.max(piece.kerf, pieces[index - 1]?.kerf ?? 0) : 0), 0),
  slack: pieces.reduce((sum, { slack }) => sum + slack, 0),
}); // prettier-ignore

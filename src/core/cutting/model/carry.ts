import type { Ticks } from '../../units';
import type { Offer } from './offer';
import type { SawSettings } from './settings';
import type { StoreTerms } from './problem';
import type { Cut, Layout, Offcut } from './plan';

type Face = Pick<Layout, 'length' | 'width'>;
type Kinded = Face & { kind: 'board' | 'sheet' };

/** Whether a board or sheet goes in the car as it is. */
export const fitsInCar = ({ kind, length, width }: Kinded, settings: SawSettings): boolean => {
  const [longer, shorter] = length >= width ? [length, width] : [width, length];
  const most = carryLimits(kind, settings);
  return longer <= most.length && shorter <= most.width;
};

/** The longer and the shorter side of what can be carried. */
const carryLimits = (
  kind: Kinded['kind'],
  { maxCarryLength, maxCarryWidth, maxCarrySheet }: SawSettings,
): Face => {
  if (kind === 'sheet' && maxCarrySheet)
    return { length: maxCarrySheet.length.ticks, width: maxCarrySheet.width.ticks };
  return { length: maxCarryLength?.ticks ?? Infinity, width: maxCarryWidth?.ticks ?? Infinity };
};

/** Whether what is sold goes in the car as it is. */
export const offerFitsInCar = (
  { item, length, width }: Pick<Offer, 'item' | 'length' | 'width'>,
  settings: SawSettings,
): boolean => item.kind === 'hardware' || fitsInCar({ kind: item.kind, length, width }, settings);

/** How many cuts a store makes at the least in what is sold so that it can be carried; 0: none is needed. */
export const storeCutsAtLeast = (offer: Offer, settings: SawSettings): number => {
  const { item, length, width } = offer;
  if (item.kind === 'hardware' || offerFitsInCar(offer, settings)) return 0;
  const kerf = settings.kerf.ticks;
  // One behind the other, each as long as can be carried, with the saw's way between them; ripping makes nothing shorter.
  const parts = Math.ceil(
    (Math.max(length, width) + kerf) / (carryLimits(item.kind, settings).length + kerf),
  );
  return Math.max(1, parts - 1);
};

/** Offers that can come home at all: what fits, or what the store can saw first. */
export const carriable = <O extends Offer>(offers: O[], stores: StoreTerms[], settings: SawSettings): O[] =>
  offers.filter(
    (offer) =>
      offerFitsInCar(offer, settings) || (stores.find(({ id }) => id === offer.storeId)?.cuts ?? 0) > 0,
  );

type Drawn = Pick<Layout, 'kind' | 'length' | 'width' | 'pieces' | 'cuts'>;

/**
 * The cuts that a store makes so that a board or sheet can be carried, at most `most`: each clean through, between pieces, and
 * all that comes of them fits. The fewest that do; null where there are none.
 */
export const storeCutsOf = (layout: Drawn, settings: SawSettings, most: number): Cut[] | null => {
  if (most < 1) return null;
  const one = oneCutOf(layout, settings);
  if (one) return [one];
  const ways = (['crosscut', 'rip'] as const)
    .map((kind) => severalCutsOf(kind, layout, settings, most))
    .filter((cuts) => cuts !== null);
  return ways.reduce<Cut[] | null>((best, cuts) => (!best || cuts.length < best.length ? cuts : best), null);
};

/** Whether a cut falls between pieces, with room for the saw. */
const isClear = ({ kind, at }: Cut, { pieces }: Drawn, kerf: number): boolean =>
  pieces.every(({ outline }) => {
    const sides = outline.map(([x, y]) => (kind === 'crosscut' ? x : y));
    return Math.max(...sides) <= at || Math.min(...sides) >= at + kerf;
  });

/** Where a cut can be: those that are made anyway; else clean through behind a piece. */
const placesOf = ({ cuts, pieces }: Drawn): Cut[] => [
  ...cuts.filter(({ on }) => on === undefined),
  ...pieces.flatMap(({ outline }): Cut[] => [
    { kind: 'crosscut', at: Math.max(...outline.map(([x]) => x)) },
    { kind: 'rip', at: Math.max(...outline.map(([, y]) => y)) },
  ]),
];

const oneCutOf = (layout: Drawn, settings: SawSettings): Cut | null => {
  const kerf = settings.kerf.ticks;
  const { kind: of, length, width } = layout;
  const fits = (face: Face) => fitsInCar({ ...face, kind: of }, settings);
  const halves = ({ kind, at }: Cut): Face[] =>
    kind === 'crosscut'
      ? [
          { length: at, width },
          { length: length - at - kerf, width },
        ]
      : [
          { length, width: at },
          { length, width: width - at - kerf },
        ];
  /** Between nested slants the saw is turned: each half reaches as far as its pieces do. */
  const slantedHalves = ({ at }: Cut): Face[] => {
    const beyond = layout.pieces
      .map(({ outline }) => outline.map(([x]) => x))
      .filter((xs) => (Math.min(...xs) + Math.max(...xs)) / 2 > at);
    const from = Math.min(at + kerf, ...beyond.map((xs) => Math.min(...xs)));
    return [
      { length: at, width },
      { length: length - from, width },
    ];
  };
  const places = [...placesOf(layout), ...inOffcuts(layout, settings)];
  return (
    places.find((cut) => isClear(cut, layout, kerf) && halves(cut).every(fits)) ??
    layout.cuts.find(
      (cut) =>
        of === 'board' && cut.kind === 'crosscut' && cut.on === undefined && slantedHalves(cut).every(fits),
    ) ??
    null
  );
};

/** Through an offcut a cut can be anywhere: where just what can be carried lies on one side of it. */
const inOffcuts = ({ kind, length }: Drawn, settings: SawSettings): Cut[] => {
  const most = carryLimits(kind, settings).length;
  return [most, length - most - settings.kerf.ticks]
    .filter((at) => at > 0 && at < length)
    .map((at) => ({ kind: 'crosscut', at }));
};

/** Cuts of one kind, each as far along as what lies before it can be carried. */
const severalCutsOf = (
  kind: Cut['kind'],
  layout: Drawn,
  settings: SawSettings,
  most: number,
): Cut[] | null => {
  const kerf = settings.kerf.ticks;
  const whole = kind === 'crosscut' ? layout.length : layout.width;
  const fits = (size: number) =>
    fitsInCar(
      kind === 'crosscut'
        ? { kind: layout.kind, length: size, width: layout.width }
        : { kind: layout.kind, length: layout.length, width: size },
      settings,
    );
  const limits = carryLimits(layout.kind, settings);
  const places = placesOf(layout).filter((cut) => cut.kind === kind);
  const cuts: Cut[] = [];
  for (let from = 0; !fits(whole - from);) {
    const farthest = [...places, { kind, at: from + limits.length }, { kind, at: from + limits.width }]
      .filter(({ at }) => at > from && at < whole && fits(at - from))
      .filter((cut) => isClear(cut, layout, kerf))
      .reduce<Cut | null>((far, cut) => (!far || cut.at > far.at ? cut : far), null);
    if (!farthest || cuts.length === most) return null;
    cuts.push(farthest);
    from = farthest.at + kerf;
  }
  return cuts;
};

/** What is left of a board once the store has sawn it: an offcut through which a cut goes is two. */
export const partedOffcuts = (offcuts: Offcut[], storeCuts: Cut[], kerf: Ticks): Offcut[] =>
  storeCuts.reduce(
    (parts, { kind, at }) =>
      parts.flatMap((offcut) => {
        const [from, size] = kind === 'crosscut' ? [offcut.x, offcut.length] : [offcut.y, offcut.width];
        if (at + kerf <= from || at >= from + size) return [offcut];
        const part = (begin: Ticks, end: Ticks): Offcut[] =>
          end <= begin
            ? []
            : kind === 'crosscut'
              ? [{ ...offcut, x: begin, length: end - begin }]
              : [{ ...offcut, y: begin, width: end - begin }];
        return [...part(from, at), ...part(at + kerf, from + size)];
      }),
    offcuts,
  );

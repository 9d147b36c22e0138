import type { Offer } from './offer';
import type { SawSettings } from './settings';
import type { StoreTerms } from './problem';
import type { Cut, Layout } from './plan';

type Face = Pick<Layout, 'length' | 'width'>;

/** Whether a board or sheet goes in the car as it is. */
export const fitsInCar = ({ length, width }: Face, settings: SawSettings): boolean => {
  const [longer, shorter] = length >= width ? [length, width] : [width, length];
  return (
    longer <= (settings.maxCarryLength?.ticks ?? Infinity) &&
    shorter <= (settings.maxCarryWidth?.ticks ?? Infinity)
  );
};

/** Offers that can come home at all: what fits, or what the store can saw first. */
export const carriable = <O extends Offer>(offers: O[], stores: StoreTerms[], settings: SawSettings): O[] =>
  offers.filter(
    (offer) =>
      offer.item.kind === 'hardware' ||
      fitsInCar(offer, settings) ||
      stores.find(({ id }) => id === offer.storeId)?.cuts,
  );

/**
 * The one cut that the store makes so that a board or sheet can be carried: clean through, between pieces, and both
 * halves fit. Null where there is none.
 */
export const storeCutOf = (
  layout: Pick<Layout, 'kind' | 'length' | 'width' | 'pieces' | 'cuts'>,
  settings: SawSettings,
): Cut | null => {
  const kerf = settings.kerf.ticks;
  const isClear = ({ kind, at }: Cut) =>
    layout.pieces.every(({ outline }) => {
      const sides = outline.map(([x, y]) => (kind === 'crosscut' ? x : y));
      return Math.max(...sides) <= at || Math.min(...sides) >= at + kerf;
    });
  const halves = ({ kind, at }: Cut): Face[] =>
    kind === 'crosscut'
      ? [
          { length: at, width: layout.width },
          { length: layout.length - at - kerf, width: layout.width },
        ]
      : [
          { length: layout.length, width: at },
          { length: layout.length, width: layout.width - at - kerf },
        ];
  /** Between nested slants the saw is turned: each half reaches as far as its pieces do. */
  const slantedHalves = ({ at }: Cut): Face[] => {
    const beyond = layout.pieces
      .map(({ outline }) => outline.map(([x]) => x))
      .filter((xs) => (Math.min(...xs) + Math.max(...xs)) / 2 > at);
    const from = Math.min(at + kerf, ...beyond.map((xs) => Math.min(...xs)));
    return [
      { length: at, width: layout.width },
      { length: layout.length - from, width: layout.width },
    ];
  };
  // Those that are made anyway; else clean through behind a piece.
  const planned = layout.cuts.filter(({ on }) => on === undefined);
  const behind = layout.pieces.flatMap(({ outline }): Cut[] => [
    { kind: 'crosscut', at: Math.max(...outline.map(([x]) => x)) },
    { kind: 'rip', at: Math.max(...outline.map(([, y]) => y)) },
  ]);
  const fitting =
    [...planned, ...behind].find(
      (cut) => isClear(cut) && halves(cut).every((half) => fitsInCar(half, settings)),
    ) ??
    planned.find(
      (cut) => layout.kind === 'board' && slantedHalves(cut).every((half) => fitsInCar(half, settings)),
    );
  return fitting ?? null;
};

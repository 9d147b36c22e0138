import { capital } from '../capital';
import type { Material } from './materials';

/** Where something stands. */
export type Exposure = 'indoors' | 'damp' | 'outdoors' | 'ground';

/** What decides whether a material is fit: where it stands, and what touches it. */
export interface Setting {
  exposure: Exposure;
  /** Food, or soil that food grows in, touches it. */
  nearFood: boolean;
  /** Where builders disagree on treated wood near food: keep it away, or take it with a liner. */
  treatedNearFood: TreatedNearFood;
}

/** The two schools on treated wood near food. */
export type TreatedNearFood = 'avoid' | 'liner';

/** From fit to not fit. `finish`: with paint, stain or oil kept up. `short`: for some years. `differ`: builders disagree. */
export const VERDICTS = ['fit', 'finish', 'short', 'differ', 'unfit'] as const;
/** How fit a wood is for its place. */
export type Verdict = (typeof VERDICTS)[number];

/** Each in a word or two. */
export const VERDICT_WORDS: Record<Verdict, string> = {
  fit: 'fit',
  finish: 'with a finish',
  short: 'short-lived',
  differ: 'builders differ',
  unfit: 'not fit',
};

/** A verdict with its reason. */
export interface Fitness {
  verdict: Verdict;
  /** Why, in one sentence; blank where there is nothing to say. */
  sentence: string;
  /** A published source, or `common practice`. */
  source: string;
}

const DECAY_SOURCE = 'Wood Handbook, FPL-GTR-282, ch. 14, table 14-1 (from memory)';
const AWPA = 'AWPA U1, use categories (from memory)';
const PRACTICE = 'common practice';

/** Nothing to be said. */
const FIT: Fitness = { verdict: 'fit', sentence: '', source: PRACTICE };

/** Whether a material is fit for a setting, and why. The worst of what can be said of it; never a ban. */
export const fitnessOf = (material: Material, setting: Setting): Fitness =>
  worstOf([nearFood(material, setting), fitnessInPlace(material, setting.exposure)]);

/** The worst of some verdicts, of equals the first that says something; fit where there is none. */
export const worstOf = (all: Fitness[]): Fitness =>
  all.reduce(
    (worst, one) => (worst === FIT || rankOf(one.verdict) > rankOf(worst.verdict) ? one : worst),
    FIT,
  );

/** The place of a verdict among them: 0 is the best. */
export const rankOf = (verdict: Verdict): number => VERDICTS.indexOf(verdict);

const say = (verdict: Verdict, sentence: string, source: string): Fitness => ({ verdict, sentence, source });

/** The same by where it stands alone, whatever touches it. */
export const fitnessInPlace = (material: Material, exposure: Exposure): Fitness => {
  if (exposure === 'indoors') return FIT;
  if (material.panel && material.decay !== 'treated') return panelIn(material, exposure);
  if (material.decay === 'treated') return treatedIn(material, exposure);
  const { species, decay } = material;
  if (exposure === 'damp')
    return decay === 'slight'
      ? say('finish', `${capital(species)} wants paint or varnish where it is damp.`, DECAY_SOURCE)
      : FIT;
  if (decay === 'resistant') return FIT;
  if (exposure === 'ground')
    return decay === 'slight'
      ? say('unfit', `${capital(species)} rots within a few years where it touches the ground.`, DECAY_SOURCE)
      : say('short', `${capital(species)} lasts some years in the ground, not decades.`, DECAY_SOURCE);
  return decay === 'slight'
    ? say('finish', `${capital(species)} outdoors wants paint or stain, kept up.`, DECAY_SOURCE)
    : say('finish', `${capital(species)} outdoors wants a finish.`, DECAY_SOURCE);
};

const treatedIn = ({ inGround }: Material, exposure: Exposure): Fitness => {
  if (exposure !== 'ground' || inGround === true) return say('fit', 'Treated for where it stands.', AWPA);
  return inGround === false
    ? say('unfit', 'Treated for above ground only (UC3B): the ground wants UC4A.', AWPA)
    : say('fit', 'Read its tag: in the ground it must say UC4A or ground contact.', AWPA);
};

const panelIn = ({ panel, species }: Material, exposure: Exposure): Fitness => {
  if (exposure === 'damp')
    return panel === 'plywood' || panel === 'outdoor plywood'
      ? say('finish', `${capital(species)} wants its edges sealed where it is damp.`, PRACTICE)
      : say('unfit', `${capital(species)} swells where it is damp.`, PRACTICE);
  return panel === 'outdoor plywood' && exposure === 'outdoors'
    ? say('finish', 'Outdoor plywood wants paint, its edges first.', PRACTICE)
    : say(
        'unfit',
        `${capital(species)} swells and comes apart ${exposure === 'ground' ? 'in the ground' : 'outdoors'}.`,
        PRACTICE,
      );
};

const nearFood = (material: Material, { nearFood: isNear, treatedNearFood, exposure }: Setting): Fitness => {
  if (!isNear) return FIT;
  if (material.decay === 'treated')
    return treatedNearFood === 'avoid'
      ? say(
          'differ',
          'Builders differ: many keep treated wood away from food and its soil, and take cedar or redwood there; others accept today’s copper treatments with a liner.',
          PRACTICE,
        )
      : say('fit', 'Line it, so that the soil does not touch it.', PRACTICE);
  if (material.panel)
    return say(
      'unfit',
      `${capital(material.species)} holds glue, and is not for food or its soil.`,
      PRACTICE,
    );
  return material.decay === 'slight' && exposure !== 'indoors'
    ? say(
        'short',
        `${capital(material.species)} may touch food and soil, and is short-lived there.`,
        PRACTICE,
      )
    : FIT;
};

/** Years that a thing of a material stands: a range, by rule of thumb, from memory. */
export interface Life {
  low: number;
  high: number;
}

const LIVES: Record<Material['decay'], Record<Exposure, Life>> = {
  slight: {
    indoors: { low: 20, high: 40 },
    damp: { low: 8, high: 15 },
    outdoors: { low: 3, high: 6 },
    ground: { low: 2, high: 4 },
  },
  moderate: {
    indoors: { low: 20, high: 40 },
    damp: { low: 12, high: 20 },
    outdoors: { low: 7, high: 12 },
    ground: { low: 4, high: 8 },
  },
  resistant: {
    indoors: { low: 20, high: 40 },
    damp: { low: 15, high: 30 },
    outdoors: { low: 12, high: 20 },
    ground: { low: 10, high: 15 },
  },
  treated: {
    indoors: { low: 20, high: 40 },
    damp: { low: 15, high: 30 },
    outdoors: { low: 15, high: 25 },
    ground: { low: 10, high: 20 },
  },
};

/** What a finish that is kept up adds to life outdoors, as a share: rule of thumb, from memory. */
const FINISH_ADDS = 0.75;

/** How long it stands: by decay resistance and place, longer outdoors under a finish that is kept up. */
export const lifeOf = ({ decay, panel }: Material, exposure: Exposure, isFinished: boolean): Life => {
  const life = LIVES[panel && decay !== 'treated' ? 'slight' : decay][exposure];
  const gains = isFinished && exposure === 'outdoors' && decay !== 'treated';
  return gains
    ? { low: Math.round(life.low * (1 + FINISH_ADDS)), high: Math.round(life.high * (1 + FINISH_ADDS)) }
    : life;
};

/** Whether it wants paint, stain or oil to last where it stands; that finish is part of its price. */
export const wantsFinish = (material: Material, exposure: Exposure): boolean =>
  fitnessInPlace(material, exposure).verdict === 'finish' ||
  (exposure === 'ground' && material.decay === 'slight' && material.panel === null);

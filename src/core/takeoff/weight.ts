import { cubicMm, type SquareMm, type Ticks } from '../units';
import { resolve, surface, weightOf, type Project } from '../project';
import { NO_OWN, woodWeight, type OwnMaterials } from '../lumber';

/** What all that is made of wood weighs, in kilograms, and the heaviest piece of it; with all its faces. */
export interface Weights {
  all: number;
  heaviest: { name: string; kilograms: number } | null;
  surface: SquareMm;
}

/** Weighs the finished parts, from the densities of materials.ts at 12 % moisture. Wet or new treated wood is heavier. */
export const weightsOf = (project: Project, own: OwnMaterials = NO_OWN): Weights => {
  const weights: Weights = { all: 0, heaviest: null, surface: 0 };
  for (const part of resolve(project, own).parts) {
    const kilograms = weightOf(part, own);
    weights.all += kilograms * part.count;
    weights.surface += surface(part, 'all') * part.count;
    if (kilograms > (weights.heaviest?.kilograms ?? 0)) weights.heaviest = { name: part.name, kilograms };
  }
  return weights;
};

/** A board or sheet as it is bought. */
export interface Carried {
  name: string;
  length: Ticks;
  width: Ticks;
  thickness: Ticks;
  material: string;
}

/** The heaviest thing to carry home, in kilograms; null when there is nothing. */
export const heaviestCarried = (
  things: Carried[],
  own: OwnMaterials = NO_OWN,
): { name: string; kilograms: number } | null =>
  things
    .map(({ name, length, width, thickness, material }) => ({
      name,
      kilograms: woodWeight(cubicMm(length * width * thickness), material, own),
    }))
    .sort((a, b) => b.kilograms - a.kilograms)[0] ?? null;

import { capital } from '@/core/capital';
import { identifier, mirroredShape, otherHand, type Command, type Part } from '@/core/project';
import type { LengthUnit, Ticks } from '@/core/units';
import { freeName } from './freeName';
import { withFormula } from './SizeFields';

/** A part with its mirror image: what is to be done, and the image. */
export interface MirroredPart {
  commands: Command[];
  image: Part;
  /** So many of each hand. */
  each: number;
  /** Half of what there was became the other hand: as many in all as before. */
  isHalved: boolean;
}

/**
 * Makes of a part a left and a right. An even number that is of no hand yet is shared between the two: of two arm rests one is left
 * and one right. A left one, or an odd number, gets as many of the other hand beside it. The image follows the first from then on. `width`: of the part.
 */
export const mirrorPart = (
  part: Part,
  groupId: string,
  names: ReadonlySet<string>,
  index: number,
  id: string,
  { width, unit }: { width: Ticks; unit: LengthUnit },
): MirroredPart => {
  const other = otherHand(part.name);
  const isHalved = other === null && part.quantity > 0 && part.quantity % 2 === 0;
  const plain = part.name.charAt(0).toLowerCase() + part.name.slice(1);
  const name = isHalved ? freeName(names, `Left ${plain}`) : part.name;
  const own = identifier(name);
  const each = isHalved ? part.quantity / 2 : part.quantity;
  const formula = part.formulas?.quantity;
  const halved: Partial<Omit<Part, 'id'>> = {
    name,
    quantity: each,
    formulas: withFormula(part, 'quantity', formula === undefined ? undefined : `(${formula}) / 2`),
  };
  const image: Part = {
    ...part,
    id,
    name: isHalved
      ? freeName(names, `Right ${plain}`)
      : freeName(names, other === null ? `${part.name}, mirrored` : capital(other)),
    quantity: each,
    role: undefined,
    mirrorOf: part.id,
    formulas: withFormula(part, 'quantity', `${own}.count`),
    length: part.length && { text: `${own}.length`, ticks: part.length.ticks },
    ...(part.shape ? { shape: mirroredShape(part.shape, width, unit) } : {}),
    width: part.width && { text: `${own}.width`, ticks: part.width.ticks },
  };
  return {
    commands: [
      ...(isHalved ? [{ type: 'editPart' as const, partId: part.id, fields: halved }] : []),
      { type: 'addPart', groupId, part: image, index },
    ],
    image,
    each,
    isHalved,
  };
};

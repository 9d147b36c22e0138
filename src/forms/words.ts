import { formatTag } from '@/core/units';
import { UNIT_WORDS } from '@/core/pricing';
import type { Price } from '@/core/project';

/** As sold: `$0.68 a foot`, `$11.48 a pack of 100`, `10 or more: $3.49`. */
export const asSold = (
  { price, unit, pack, minQty, weight }: Pick<Price, 'price' | 'unit' | 'pack' | 'minQty' | 'weight'>,
  currency: string,
): string => {
  const tag = formatTag(price, currency);
  const per = weight
    ? `for ${weight.amount} ${weight.unit}, about ${pack} pieces`
    : pack > 1
      ? `a pack of ${pack}`
      : unit === 'pack'
        ? 'each'
        : UNIT_WORDS[unit];
  return `${minQty > 1 ? `${minQty} or more: ` : ''}${tag} ${per}`;
};

/** `1 price`, `12 prices`. */
export const count = (number: number, one: string, many = `${one}s`): string =>
  `${number} ${number === 1 ? one : many}`;

/** `3 things` */
export const things = (number: number): string => count(number, 'thing');

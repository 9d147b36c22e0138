import type { LengthUnit, Ticks } from '../units';
import { type Result, fail, map, ok } from '../result';
import { actualThickness, parseSection, parseThickness } from '../lumber';
import type { Group, Part } from './types';

/**
 * Actual thickness and width of what a part is cut from, by its section or trade thickness and its first material. A
 * sheet part is as wide as it was last worked out. Problems: `section`; `name` for hardware and unread thicknesses.
 */
export const sidesOf = (
  part: Part,
  group: Group | undefined,
  unit: LengthUnit,
): Result<{ thickness: Ticks; width: Ticks }> => {
  if (part.kind === 'board') {
    const section = parseSection(part.section, unit);
    return map(section, ({ thickness, width }) => ({ thickness, width }));
  }
  const trade = parseThickness(part.section, unit);
  if (part.kind === 'hardware' || !trade.ok) return fail('name', `${part.name} has no thickness or width`);
  const material = part.materials[0] ?? group?.materials[0] ?? '';
  return ok({ thickness: actualThickness(trade.value, material), width: part.width?.ticks ?? 0 });
};

import { familyOf, materialOf, nameKey } from '../lumber';
import { shownPlan, type Plan } from '../plan';
import type { Book } from '../project';

/** The materials of one plan that another does without, of the family that most money goes into; empty: none. */
export const freshMaterials = (plan: Plan, other: Plan, materials?: Book['materials']): string[] => {
  const held = new Set((shownPlan(other)?.buys ?? []).map(({ material }) => nameKey(material)));
  const fresh = (shownPlan(plan)?.buys ?? []).filter(
    ({ kind, material }) => kind !== 'hardware' && !held.has(nameKey(material)),
  );
  const [first] = [...fresh].sort((a, b) => b.costWithTax - a.costWithTax);
  if (!first) return [];
  const family = familyOf(materialOf(first.material, materials));
  const names = fresh
    .map(({ material }) => material)
    .filter((name) => familyOf(materialOf(name, materials)) === family);
  return [...new Set(names)];
};

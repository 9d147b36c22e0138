import type { LengthUnit } from '../units';
import { emptyPart, identifier, type Extra, type Joint, type Part, type Project } from '../project';
import { actualThickness, fastenersEach, parseSection, parseThickness } from '../lumber';
import type { MadeExtra, MadeJoint, MadePart } from './types';

/** A part as it is kept, from what a helper says of it; `held`: the same of before, whose id, name and notes stay. */
export const toPart = (
  made: MadePart,
  held: Part | undefined,
  say: (text: string) => string,
  unit: LengthUnit,
  newId: () => string,
): Part => {
  const isSheet = made.width !== undefined;
  const measure = (text: string) => ({ text: say(text), ticks: 0 });
  const section = isSheet ? null : parseSection(made.section, unit);
  const isCount = /^\d+$/.test(made.quantity);
  return {
    ...(held ?? emptyPart(newId())),
    name: held?.name ?? made.name,
    role: identifier(made.name),
    kind: isSheet ? 'sheet' : 'board',
    quantity: isCount ? Number(made.quantity) : 1,
    formulas: formulasOf(made, say),
    section: section?.ok ? section.value.name : made.section,
    length: measure(made.length),
    width: made.width === undefined ? null : measure(made.width),
    ends: made.ends ?? 'square',
    grain: made.grain ?? 'any',
    shows: held?.shows ?? made.shows,
    note: held?.note ?? made.note ?? '',
  };
};

const formulasOf = ({ quantity, angle }: MadePart, say: (text: string) => string): Part['formulas'] => {
  const isCount = /^\d+$/.test(quantity);
  if (isCount && !angle) return undefined;
  return { ...(isCount ? {} : { quantity: say(quantity) }), ...(angle ? { angle: say(angle) } : {}) };
};

/** A joint as it is kept; none where one of its parts is not made. */
export const toJoint = (
  made: MadeJoint,
  byRole: Map<string, Part>,
  before: Joint[],
  say: (text: string) => string,
  unit: LengthUnit,
  newId: () => string,
): Joint[] => {
  const [first, second] = [byRole.get(made.first), byRole.get(made.second)];
  if (!first || !second) return [];
  const role = `${made.how}:${made.first}:${made.second}`;
  const held = before.find((joint) => joint.role === role);
  const isCount = /^\d+$/.test(made.quantity);
  const through = made.through ?? 'thickness';
  return [
    {
      id: held?.id ?? newId(),
      name: `${first.name} to ${second.name.toLowerCase()}`,
      how: held?.how ?? made.how,
      first: first.id,
      second: second.id,
      through,
      into: made.into ?? 'thickness',
      quantity: isCount ? Number(made.quantity) : 1,
      ...(isCount ? {} : { formula: say(made.quantity) }),
      each: held?.each ?? made.each ?? fastenersEach(widthOf(first, through, unit)),
      item: held?.item ?? '',
      role,
    },
  ];
};

/** How broad a piece is where it is fastened: the side that the fastener does not pass. */
const widthOf = (part: Part, through: 'thickness' | 'width', unit: LengthUnit): number => {
  if (part.kind === 'sheet') {
    const trade = parseThickness(part.section, unit);
    return trade.ok ? actualThickness(trade.value, '') : 0;
  }
  const section = parseSection(part.section, unit);
  return section.ok ? section.value[through === 'thickness' ? 'width' : 'thickness'] : 0;
};

/** What covers and fills as it is kept. */
export const toExtra = (
  made: MadeExtra,
  groupId: string,
  project: Project,
  say: (text: string) => string,
  newId: () => string,
): Extra => {
  const held = project.extras.find(({ groupId: of, role }) => of === groupId && role === made.name);
  return {
    id: held?.id ?? newId(),
    name: held?.name ?? made.name,
    item: held?.item ?? '',
    rule: made.rule,
    groupId,
    amount: say(made.amount),
    faces: 'all',
    coats: held?.coats ?? 1,
    covers: held?.covers ?? (made.rule === 'count' ? '' : made.covers[project.unit]),
    note: held?.note ?? '',
    role: made.name,
  };
};

import type { Plan } from '../cutting/model';
import { verifyPlan, type CheckAgainst, type LayoutToCheck, type PlanToCheck } from '../cutting/verify';
import type { Problem } from '../result';
import { sectionSize } from './against';

export { againstProject } from './against';
export type { CheckAgainst, PlanToCheck } from '../cutting/verify';

/**
 * Verifies a plan from scratch, by the rules of docs/planner.md alone: it shares no code with what plans. Empty: the plan
 * holds. Of a plan that leaves parts out, the plan for the rest is verified. That nothing cheaper exists is not checked here.
 */
export const checkPlan = (
  plan: PlanToCheck & Partial<Pick<Plan, 'rest' | 'problems'>>,
  against: CheckAgainst,
): Problem[] => {
  if (plan.status === 'infeasible' && plan.rest) {
    const left = new Set(plan.problems?.flatMap(({ partIds }) => partIds));
    const isMade = ({ id }: { id: string }) => !left.has(id);
    return checkPlan(plan.rest, {
      ...against,
      parts: against.parts.filter(isMade),
      ...(against.singly ? { singly: against.singly.filter(isMade) } : {}),
    });
  }
  if (plan.status === 'infeasible') return [];
  const { singly: alone, ...paired } = against;
  const faults = checkOneWay(plan, paired);
  return alone && faults.length > 0 && checkOneWay(plan, { ...paired, parts: alone }).length === 0
    ? []
    : faults;
};

const checkOneWay = (plan: PlanToCheck, against: CheckAgainst): Problem[] => {
  // What the plan names is read here again: a name that no price row has is still one to check.
  const named = [...plan.layouts, ...plan.buys].map(
    ({ kind, section }) => [`${kind}:${section}`, sectionSize(kind, section)] as const,
  );
  const { layouts, faults } = withoutRecorded(plan.layouts, against.sawn ?? []);
  const verified = verifyPlan(
    { ...plan, layouts },
    { ...against, sizes: { ...against.sizes, ...Object.fromEntries(named) } },
  );
  return [...faults, ...verified];
};

/** Drawings of what is planned; boards on which sawing has begun stand among them each once, as they are recorded. */
const withoutRecorded = (
  drawn: LayoutToCheck[],
  recorded: NonNullable<CheckAgainst['sawn']>,
): { layouts: LayoutToCheck[]; faults: Problem[] } => {
  const open = new Map(recorded.map((board) => [board.sawn?.id, drawingOf(board)]));
  const layouts = drawn.filter((layout) => {
    const isRecorded = layout.sawn && layout.count === 1 && open.get(layout.sawn.id) === drawingOf(layout);
    if (isRecorded) open.delete(layout.sawn?.id);
    return !isRecorded;
  });
  const faults = [...open.keys()].map((id) => ({
    code: 'check',
    place: `board ${id}`,
    sentence: 'is sawn, and is not in the plan as it was sawn',
  }));
  return { layouts, faults };
};

const drawingOf = ({
  kind,
  section,
  material,
  length,
  width,
  pieces,
}: NonNullable<CheckAgainst['sawn']>[number]): string =>
  JSON.stringify([
    [kind, section, material, length, width],
    pieces.map(({ part, group, outline }) => [part, group, outline]),
  ]);

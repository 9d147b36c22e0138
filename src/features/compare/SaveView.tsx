import type { Combination, Saving } from '@/core/compare';
import { shownPlan, type Plan } from '@/core/plan';
import type { Project } from '@/core/project';
import { formatMoney } from '@/core/units';
import { type PlannedProject } from '@/hooks';
import { takeWay, useUnderTarget, type WaysView } from '@/hooks/compare';
import { UnderTarget } from './UnderTarget';
import { Ways } from './Ways';

interface Props {
  open: PlannedProject;
  /** What savings are measured against; null while it is planned. */
  base: Plan | null;
  ways: WaysView;
  onTry: (saving: Saving) => void;
}

/** How to pay less: what brings the project under its target, where it is over, and every way to save by itself. */
export const SaveView = ({ open, base, ways, onTry }: Props) => {
  const { project, plan, money, request } = open;
  const underTarget = useUnderTarget(request, base, ways);
  const over = Math.max(0, -(money.left ?? 0));
  const take = (way: Pick<Combination, 'changes' | 'plan' | 'saves'>, name: string): void =>
    takeWay(
      open,
      { ...way, name, sums: { before: money.total, after: money.total - way.saves } },
      `${name}: ${formatMoney(way.saves, project.currency)} less.`,
    );
  return (
    <>
      {over > 0 ? (
        <UnderTarget
          {...underTarget}
          over={over}
          alone={breakersOf(project, ways.ways, over)}
          currency={project.currency}
          onTake={take}
        />
      ) : null}
      <Ways
        view={ways}
        isWhole={shownPlan(plan) !== null}
        project={project}
        onTry={onTry}
        onTake={(way) => take(way, way.title)}
      />
    </>
  );
};

/** The groups without which the project would be within its target, each with what it comes to. */
const breakersOf = (project: Project, ways: Saving[], over: number): { name: string; sum: number }[] =>
  ways.flatMap(({ kind, saves, changes }) => {
    const [change] = changes;
    const group =
      kind === 'later' && change?.type === 'editGroup'
        ? project.groups.find(({ id }) => id === change.groupId)
        : undefined;
    return group && saves >= over ? [{ name: group.name, sum: saves }] : [];
  });

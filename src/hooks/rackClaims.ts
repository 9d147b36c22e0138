import { useQuery } from '@tanstack/react-query';
import { rackClaims, rackFor, type Plan, type RackClaim } from '@/core/plan';
import type { RackEntry } from '@/core/project';
import { readKeptPlan } from '@/data';
import type { KeptPlan } from '@/state/planSnapshot';
import type { PlannedProject } from './plans';
import { useProjects } from './workspace';

/** What of the rack the plan of a project cuts and the plans of others do too, as these stood when they were last open. */
export const useRackClaims = ({ project, book, plan }: PlannedProject): RackClaim[] => {
  const records = useProjects()?.records ?? [];
  const others = records
    .filter(({ project: { id, leavesRack, isSample } }) => id !== project.id && !leavesRack && !isSample)
    .map((record) => record.project);
  const rack: RackEntry[] = rackFor(project, book);
  const { data } = useQuery({
    queryKey: ['kept plans', project.id, others.map(({ id }) => id).join()],
    enabled: rack.length > 0 && others.length > 0,
    queryFn: async () => {
      const found: { id: string; name: string; plan: Plan }[] = [];
      for (const { id, name } of others) {
        const kept = (await readKeptPlan(id)) as KeptPlan | null;
        if (kept) found.push({ id, name, plan: kept.plan });
      }
      return found;
    },
    networkMode: 'always',
    structuralSharing: false,
    retry: false,
  });
  return data ? rackClaims(rack, { id: project.id, plan }, data) : [];
};

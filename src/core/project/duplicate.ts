import type { Group, Option, Part, Project } from './types';

/**
 * A project once more, under an id and a name of its own: its parts, measures, ways and target, with nothing bought, decided, and nothing measured
 * on a real thing yet. Of a sample it is one's own.
 */
export const duplicateProject = (project: Project, id: string, name: string): Project => {
  const {
    baseline: _,
    isSample: __,
    measuredBoards: _m,
    sawnBoards: _s,
    decisions: _d,
    assembly: _a,
    ...kept
  } = project;
  return { ...kept, id, name, groups: project.groups.map(planned), purchases: [] };
};

const planned = (group: Group): Group => ({ ...group, options: group.options.map(plannedOption) });

const plannedOption = (option: Option): Option => ({ ...option, parts: option.parts.map(plannedPart) });

const plannedPart = ({ measured: _, ...part }: Part): Part => part;

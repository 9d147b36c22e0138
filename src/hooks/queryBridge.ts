import type { QueryClient } from '@tanstack/query-core';
import type { PlanService } from '@/state/planService';
import type { WorkspaceStore } from '@/state/workspaceStore';

/** Where what is stored lies in the query cache. */
export const KEYS = { projects: ['projects'], book: ['book'], settings: ['settings'] } as const;

/** Where the last whole state of a project lies. */
export const snapshotKey = (projectId: string) => ['snapshot', projectId] as const;

/** Feeds the query cache with what the services hold, with every change. */
export const feedQueries = (client: QueryClient, workspace: WorkspaceStore, plans: PlanService): void => {
  plans.subscribe((projectId, snapshot) => client.setQueryData(snapshotKey(projectId), snapshot));
  workspace.subscribe((event) => {
    const state = workspace.state;
    if (event.kind !== 'changed' || !state) return;
    if (event.projectIds.length > 0)
      client.setQueryData(KEYS.projects, { records: state.records, damaged: state.damaged });
    if (event.book) client.setQueryData(KEYS.book, state.book);
    if (event.settings) client.setQueryData(KEYS.settings, state.settings);
  });
};

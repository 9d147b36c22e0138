import type { ProjectMoney } from '@/core/budget';
import type { Plan, PreviousPlan, Progress } from '@/core/plan';
import type { Book, Project } from '@/core/project';
import type { PlanRequest } from './planRequest';

/** A project, its prices, its plan and its money: all of one generation, always. */
export interface PlanSnapshot extends PlanRequest {
  /** Goes up with every state of project and prices that is shown. */
  generation: number;
  plan: Plan;
  money: ProjectMoney;
  /** `planning`: a newer state is being planned, and this is the one before; `failed`: that could not be done. */
  phase: 'current' | 'planning' | 'failed';
  /** What is being done to find a cheaper plan; null: nothing any more. */
  doing: Progress['doing'] | null;
  /** What went wrong with the search, for a person; null: nothing. The plan shown passed its check all the same. */
  failure: string | null;
}

/** A plan as it is kept with its project, over a reload. */
export interface KeptPlan {
  key: string;
  plan: Plan;
  /** What it followed from, for what is left of it after something was bought. */
  input: PreviousPlan['input'];
  /** The search for a better one has ended. */
  isSearched: boolean;
}

/** Where plans are kept. Losing one loses nothing but time. */
export interface PlanStorage {
  read: (projectId: string) => Promise<KeptPlan | null>;
  write: (projectId: string, kept: KeptPlan) => Promise<void>;
}

/** Where projects and prices come from. */
export interface PlanSource {
  current: (projectId: string) => { project: Project; book: Book } | null;
  /** Calls back when a project, or the book, became another. */
  subscribe: (listener: (changed: { projectIds: string[]; book: boolean }) => void) => () => void;
}

import { expose } from 'comlink';
import { firstPlan } from '@/core/plan';

/** What the worker can be asked for. */
const planner = { firstPlan };
export type Planner = typeof planner;

expose(planner);

export { deadlineIn, type Deadline } from './deadline';
export { searchBest, type Incumbent, type Progress } from './bestPlan';
export { solverOf, type Highs, type Solver } from './highs';

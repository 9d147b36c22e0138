export type * from '../types';
export type { Minor, Ticks } from '../../units';

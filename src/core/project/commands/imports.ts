export type * from '../types';
export type { Minor } from '../../units';

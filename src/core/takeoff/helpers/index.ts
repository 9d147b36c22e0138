import type { Helper } from '../types';
import { braces } from './braces';
import { cladding } from './cladding';
import { frame } from './frame';
import { legs } from './legs';
import { panel } from './panel';
import { platform } from './platform';
import { raisedBox } from './raisedBox';
import { shelves } from './shelves';
import { slab } from './slab';
import { slats } from './slats';
import { steps } from './steps';

/** Every helper, in the order in which they are offered. */
export const HELPERS: Helper[] = [
  frame,
  legs,
  panel,
  slab,
  slats,
  raisedBox,
  shelves,
  platform,
  braces,
  steps,
  cladding,
];

/** The helper of an id; undefined: there is none. */
export const helperOf = (id: string): Helper | undefined => HELPERS.find((helper) => helper.id === id);

import { GARDEN } from './garden';
import { INDOORS } from './indoors';
import { SHELTERS } from './shelters';
import { STAGE } from './stage';
import type { Template } from './types';

export * from './types';
export * from './build';

/** Every template, in the order in which they are offered. */
export const TEMPLATES: Template[] = [...INDOORS, ...STAGE, ...GARDEN, ...SHELTERS];

/** The template of an id; undefined: there is none. */
export const templateOf = (id: string): Template | undefined => TEMPLATES.find((one) => one.id === id);

/** What a project is made of: the types of the declarations in `schemas/parts.ts`, where each field is explained. */
import type { Static } from '../schemaKinds';
import type * as schema from './schemas/parts';

export type { Measure } from './schemas/scalars';
/** Where a group of parts will stand: it decides which materials are fit. */
export type { Exposure } from '../lumber';

export type Kind = Static<typeof schema.kind>;
export type Grain = Static<typeof schema.grain>;
export type Shows = Static<typeof schema.shows>;
export type JointKind = Static<typeof schema.jointKind>;
export type ExtraRule = Static<typeof schema.extraRule>;

export interface Item extends Static<typeof schema.item> {}
export interface Variable extends Static<typeof schema.variable> {}
export interface Measured extends Static<typeof schema.measured> {}
export interface Part extends Static<typeof schema.part> {}
export interface Joint extends Static<typeof schema.joint> {}
export interface Option extends Static<typeof schema.option> {}
export interface Extra extends Static<typeof schema.extra> {}
export interface Group extends Static<typeof schema.group> {}

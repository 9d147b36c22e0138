/** What a project is made of: the types of the declarations in `schemas/parts.ts`, where each field is explained. */
import type { Static } from '../schemaKinds';
import type * as schema from './schemas/parts';

export type { Measure } from './schemas/scalars';
/** Where a group of parts will stand: it decides which materials are fit. */
export type { Exposure } from '../lumber';

/** Board, sheet or hardware. */
export type Kind = Static<typeof schema.kind>;
/** Which way the grain of a sheet part runs. */
export type Grain = Static<typeof schema.grain>;
/** What is seen of a part: all round, one wide face and the edges, nothing. */
export type Shows = Static<typeof schema.shows>;
/** How two parts are joined. */
export type JointKind = Static<typeof schema.jointKind>;
/** By what an extra is reckoned: area, volume, glue or a count. */
export type ExtraRule = Static<typeof schema.extraRule>;

/** A thing that a store sells or a rack holds, whatever it costs. */
export interface Item extends Static<typeof schema.item> {}
/** A measure with a name that formulas use. */
export interface Variable extends Static<typeof schema.variable> {}
/** A length taken on the real thing. */
export interface Measured extends Static<typeof schema.measured> {}
/** Pieces of one size in a group, and how many of it. */
export interface Part extends Static<typeof schema.part> {}
/** One thing that is done to the outline of a part. */
export interface Shaping extends Static<typeof schema.shaping> {}
/** Where two parts meet, with what holds them. */
export interface Joint extends Static<typeof schema.joint> {}
/** One way to make a group: its parts and joints. */
export interface Option extends Static<typeof schema.option> {}
/** A finish, glue, a liner or a fill: what is not cut. */
export interface Extra extends Static<typeof schema.extra> {}
/** Parts that belong together, with where they stand and of what they may be. */
export interface Group extends Static<typeof schema.group> {}

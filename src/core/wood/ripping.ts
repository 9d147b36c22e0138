import type { Ticks } from '../measure';

/**
 * How wide a strip of a board so thick makes a part of this section; null where thickness would have to be sawn again, which
 * is never done.
 */
export const stripWidth = (part: { thickness: Ticks; width: Ticks }, thick: Ticks): Ticks | null =>
  thick === part.thickness ? part.width : thick === part.width ? part.thickness : null;

/** Whether boards may be ripped with these tools; without any named there is a mitre saw alone. */
export const canRipWith = (tools: string[] | undefined): boolean => tools?.includes('table-saw') ?? false;

import type { Ticks } from '../../units';

/**
 * How wide a strip of a board so thick makes a part of this section; null where thickness would have to be sawn again, which
 * is never done.
 */
export const stripWidth = (part: { thickness: Ticks; width: Ticks }, thick: Ticks): Ticks | null =>
  thick === part.thickness ? part.width : thick === part.width ? part.thickness : null;

/** The tool that ripping takes, as settings.json names it. */
export const TABLE_SAW = 'table-saw';

/** What there is to cut with where nothing is told. */
export const USUAL_TOOLS = ['mitre-saw'];

/** Whether boards may be ripped with these tools; without any named there is a mitre saw alone. */
export const canRipWith = (tools: string[] | undefined): boolean => tools?.includes(TABLE_SAW) ?? false;

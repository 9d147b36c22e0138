import type { SawnBoard } from '../project';
import type { Layout } from '../cutting/model';
import type { Ticks } from '../units';

/** The record of a board of a layout on which sawing begins: `done` cuts of those it takes. `kerf` in ticks. */
export const sawnBoardOf = (layout: Layout, id: string, kerf: Ticks, done: number): SawnBoard => {
  const { kind, section, material, length, width, pieces, offcuts } = layout;
  return {
    id,
    kind,
    section,
    material,
    length,
    width,
    kerf,
    pieces: pieces.map(({ partId, outline }) => ({ partId, outline: outline.map(([x, y]) => ({ x, y })) })),
    offcuts: offcuts.map((offcut) => ({ ...offcut })),
    done,
  };
};

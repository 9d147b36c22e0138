import type { Part } from '../project';

/** What a stretch of a quick line was taken for. */
export type QuickRole =
  'quantity' | 'section' | 'length' | 'width' | 'ends' | 'shape' | 'name' | 'material' | 'note';

/** Words of a quick line, with what they were taken for. */
export interface QuickToken {
  role: QuickRole;
  text: string;
}

/** A quick line as it was understood: the fields of a part, and which words gave them, in their order. */
export interface QuickReading {
  part: Omit<Part, 'id'>;
  tokens: QuickToken[];
}

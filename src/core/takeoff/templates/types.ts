import type { LengthUnit, Ticks } from '../../units';
import type { Exposure } from '../../project';
import type { Ask, Sizes, View } from '../types';

/**
 * A text of a template, the same in both units or one for each. `{key}` stands for what was answered to a question of the template,
 * or for one of its groups: `{length} - 2 * {legs}.leg.width`.
 */
export type TemplateText = string | Record<LengthUnit, string>;

/** A part that no helper makes. Lengths and quantities are formulas; one without a section is hardware. */
export interface TemplatePart {
  name: TemplateText;
  quantity: TemplateText;
  section?: TemplateText;
  length?: TemplateText;
  /** Given for sheets. */
  width?: TemplateText;
  ends?: string;
  /** A formula for the angle of the ends. */
  angle?: string;
  note?: string;
}

/** One group of a template: what a helper makes of its answers, and parts beside. */
export interface TemplateGroup {
  key: string;
  name: string;
  helper?: string;
  /** Answers that are not the helper's usual ones. */
  answers?: Record<string, TemplateText>;
  parts?: TemplatePart[];
  exposure?: Exposure;
}

/** What covers or fills: a finish of the whole, or an area of its own. */
export interface TemplateExtra {
  name: string;
  rule: 'finish' | 'area';
  amount?: string;
  covers: Record<LengthUnit, string>;
  coats?: number;
}

/** What it all comes to, for the drawing: answers by key, parts by group and name, `legs`, `leg`. What is not there is nothing. */
export interface TemplateSizes {
  measure: (key: string) => Ticks;
  part: (group: string, role: string) => ReturnType<Sizes['part']>;
}

/** A finished kind of thing, made by a few measures. */
export interface Template {
  id: string;
  title: string;
  about: string;
  asks: Ask[];
  groups: TemplateGroup[];
  extras: TemplateExtra[];
  /** The whole of it, seen from one or two sides; roles are `group.part`. */
  draw: (sizes: TemplateSizes) => View[];
}

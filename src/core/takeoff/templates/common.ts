import type { TemplateExtra, TemplateText } from './types';

/** A text for inches and one for millimetres. */
export const both = (inches: string, mm: string): TemplateText => ({ in: inches, mm });

/** A thin batten. */
export const BATTEN = both('1x3', '20x70mm');

/** What keeps wood outdoors, a coat on all faces. How far cans go is from memory here; what a can says can be entered. */
export const OIL: TemplateExtra = {
  name: 'Exterior oil',
  rule: 'finish',
  covers: { in: '150 ft2', mm: '14 m2' },
};
/** A finish in two coats, for indoors. */
export const VARNISH: TemplateExtra = {
  name: 'Varnish',
  rule: 'finish',
  covers: { in: '125 ft2', mm: '12 m2' },
  coats: 2,
};
/** The same as paint. */
export const PAINT: TemplateExtra = { ...VARNISH, name: 'Paint' };

/** Formulas of rows that come out even; each takes and gives formula texts. */

/**
 * Pieces of a width over a span with gaps of at most `gap`, the first and the last against the ends:
 * ceil((L + g)/(w + g)) (common practice).
 */
export const flushCount = (span: string, width: string, gap: string): string =>
  `ceil((${span} + ${gap}) / (${width} + ${gap}))`;

/** The same, but never more than there is room for side by side: where wider gaps must do, there is one piece less. */
export const fittingCount = (span: string, width: string, gap: string): string =>
  `max(1, min(${flushCount(span, width, gap)}, floor(${span} / ${width})))`;

/** The even gap between them: (L − n w)/(n − 1). */
export const flushGap = (span: string, width: string, count: string): string =>
  `(${span} - ${count} * ${width}) / max(1, ${count} - 1)`;

/** The same with a gap at both ends too: one gap more than pieces. */
export const insetCount = (span: string, width: string, gap: string): string =>
  `max(1, ceil((${span} - ${gap}) / (${width} + ${gap})))`;

/** The gap of so many pieces with one at both ends too. */
export const insetGap = (span: string, width: string, count: string): string =>
  `(${span} - ${count} * ${width}) / (${count} + 1)`;

/** Pieces between two ends so that no field is longer than `largest`: none where one field will do. */
export const between = (span: string, largest: string): string => `max(0, ceil(${span} / ${largest}) - 1)`;

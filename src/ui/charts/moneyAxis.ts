import { decimals, formatWhole } from '@/core/units';
import { FONTS, type useColors } from '../theme';

/** What stands at the left of a chart of money takes so much room. */
export const LABEL_WIDTH = 52;

/** How a chart of money is ruled and labelled, in steps of whole money. */
export const moneyAxis = (
  ink: ReturnType<typeof useColors>,
  currency: string,
  { step, sections }: { step: number; sections: number },
) => ({
  maxValue: sections * step,
  noOfSections: sections,
  stepValue: step,
  formatYLabel: (label: string) =>
    formatWhole(Math.round(Number(label) * 10 ** decimals(currency)), currency),
  yAxisLabelWidth: LABEL_WIDTH,
  yAxisTextStyle: { color: ink.soft, fontSize: 13, fontFamily: FONTS.regular },
  yAxisColor: ink.hairline,
  xAxisColor: ink.soft,
  rulesColor: ink.hairline,
  rulesType: 'solid' as const,
  disableScroll: true,
  isAnimated: false,
});

/** The line of a target across a chart; nothing without one. */
export const targetLine = (target: number | null, color: string, width: number) =>
  target === null
    ? {}
    : {
        showReferenceLine1: true,
        referenceLine1Position: target,
        referenceLine1Config: { color, thickness: 2.5, type: 'solid' as const, width },
      };

import { StyleSheet, View } from 'react-native';
import { eachOf, pricingAnalysis, type Costs, type Offered } from '@/core/budget';
import { formatMoney, parseDecimal, parseMoney, percentText, symbol } from '@/core/units';
import type { Work } from '@/core/project';
import { fail, ok, type Result } from '@/core/result';
import type { OpenProject } from '@/hooks';
import { SectionHeader, ReadField, SumRow, Text } from '@/ui';
import { orBlank, orNone } from '@/forms';

/** What one could be asked for, what an offer brings, and how many must be sold before tools are paid. */
export const WorthView = ({
  open: { project },
  costs,
  work,
  onChange,
}: {
  open: OpenProject;
  costs: Costs;
  work: Work;
  onChange: (fields: Partial<Work>) => void;
}) => {
  const { currency, readyMade = [] } = project;
  const worth = pricingAnalysis(project, costs);
  const money = (sum: number) => formatMoney(sum, currency);
  const cheapest = [...readyMade].sort((a, b) => a.price - b.price)[0];
  return (
    <View role="region" aria-label="What it is worth">
      <SectionHeader title="What it is worth" note={costs.builds > 1 ? 'for one' : ''} />
      {worth.byMargin === null ? null : (
        <SumRow
          label="By your margin"
          about={`${percentText(work.margin ?? 0)} % of it is gain over ${money(eachOf(costs.allIn, costs))} all in`}
          sum={money(worth.byMargin)}
        />
      )}
      <SumRow
        label="Three times the materials"
        about="a common asking price (common practice)"
        sum={money(worth.byMaterials)}
      />
      {worth.byReadyMade === null || !cheapest ? null : (
        <SumRow
          label="By ready made"
          about={`${cheapest.source} asks ${money(cheapest.price)}${work.below ? `, ${percentText(work.below)} % below` : ''}`}
          sum={money(worth.byReadyMade)}
        />
      )}
      <View style={styles.fields}>
        <View style={styles.pair}>
          <View style={styles.grow}>
            <ReadField
              label="Margin, %"
              inputMode="decimal"
              text={work.margin === undefined ? '' : percentText(work.margin)}
              read={percent(95)}
              onRead={(margin) => onChange({ margin: margin ?? undefined })}
            />
          </View>
          <View style={styles.grow}>
            <ReadField
              label="Below ready made, %"
              inputMode="decimal"
              text={work.below === undefined ? '' : percentText(work.below)}
              read={percent(100)}
              onRead={(below) => onChange({ below: below ?? undefined })}
              help={cheapest ? null : 'Ready-made prices are under Compare, Build or buy.'}
            />
          </View>
        </View>
        <ReadField
          label={`Someone offers for one, ${symbol(currency).trim()}`}
          inputMode="decimal"
          text={orBlank(work.offer, currency)}
          read={orNone((text) => parseMoney(text, currency))}
          onRead={(offer) => onChange({ offer })}
        />
        {worth.offer ? (
          <View role="status" style={styles.words}>
            {offerWords(worth.offer, money).map(({ text, isBad }) => (
              <Text key={text} tone={isBad ? 'bad' : 'ink'}>
                {text}
              </Text>
            ))}
          </View>
        ) : null}
      </View>
    </View>
  );
};

/** `At $35.00 you pay $11.20 to give it away.` */
const offerWords = (
  { price, overTill, overAllIn, anHour, breakEven }: Offered,
  money: (sum: number) => string,
): { text: string; isBad: boolean }[] => [
  overTill < 0
    ? { text: `At ${money(price)} you pay ${money(-overTill)} to give it away.`, isBad: true }
    : { text: `At ${money(price)} you get ${money(overTill)} over what it costs at the till.`, isBad: false },
  ...(overAllIn !== overTill
    ? [
        overAllIn < 0
          ? { text: `All in, ${money(-overAllIn)} is lost.`, isBad: true }
          : { text: `All in, ${money(overAllIn)} is gained.`, isBad: false },
      ]
    : []),
  ...(anHour === null
    ? []
    : [
        {
          text:
            anHour < 0 ? `An hour of it loses ${money(-anHour)}.` : `An hour of it earns ${money(anHour)}.`,
          isBad: anHour < 0,
        },
      ]),
  breakEven === null
    ? { text: 'However many are sold at it, the tools are never paid.', isBad: true }
    : {
        text:
          breakEven === 1
            ? 'The first one pays for itself.'
            : `From the ${ordinal(breakEven)} one on, the tools are paid and all is gain.`,
        isBad: false,
      },
];

const ordinal = (count: number): string => {
  const last = count % 100 >= 11 && count % 100 <= 13 ? 0 : count % 10;
  return `${count}${['th', 'st', 'nd', 'rd'][last] ?? 'th'}`;
};

const percent =
  (most: number) =>
  (text: string): Result<number | null> => {
    if (text.trim() === '') return ok(null);
    const read = parseDecimal(text.replace('%', ''));
    if (!read.ok) return read;
    return read.value > most ? fail('percent', `At most ${most} percent.`) : ok(read.value / 100);
  };

const styles = StyleSheet.create({
  grow: { flex: 1 },
  fields: { padding: 16, gap: 12 },
  pair: { flexDirection: 'row', gap: 12 },
  words: { gap: 4 },
});

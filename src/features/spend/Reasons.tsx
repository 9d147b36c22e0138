import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { baselineOf, differencesByCategory, differencesOf, reasonsOf, type Difference } from '@/core/budget';
import { capital } from '@/core/capital';
import { formatDay, formatMoney } from '@/core/units';
import type { Plan } from '@/core/plan';
import { notify, today, type OpenProject } from '@/hooks';
import { SectionHeader, Button, FigureTable, Row, Text } from '@/ui';

/** So many reasons are told in words. */
const TOLD = 3;

/** The plan as it stood against what was paid and is still to pay: why it comes to more or less. */
export const Reasons = ({ open, plan }: { open: OpenProject; plan: Plan | null }) => {
  const { project, book, dispatch, undo } = open;
  const { currency, baseline, unit } = project;
  const differences = useMemo(() => differencesOf(project, book, plan), [project, book, plan]);
  const keep = () => {
    dispatch({ type: 'keepBaseline', baseline: baselineOf(project, book, plan, today()) });
    notify({
      text: 'What is paid from now on is held against today’s plan.',
      action: { label: 'Undo', run: undo },
    });
  };
  const again = (
    <Button mode="outlined" onPress={keep} disabled={plan === null}>
      Hold it against today’s plan
    </Button>
  );
  if (!baseline)
    return (
      <View style={styles.pad}>
        <Text>
          The plan is kept when the first thing is bought, and what is paid is held against it here.
        </Text>
        {again}
      </View>
    );
  const sum = differences.reduce((all, { planned, now }) => all + now - planned, 0);
  const reasons = reasonsOf(differences, currency, unit);
  const more = reasons.slice(TOLD).reduce((all, reason) => all + reason.sum, 0);
  const changed = differences.filter(
    ({ priceVariance, quantityVariance, forgotten }) =>
      priceVariance !== 0 || quantityVariance !== 0 || forgotten !== 0,
  );
  return (
    <>
      <View style={styles.pad}>
        <Text size="strong">
          {sum === 0
            ? 'It comes to what was planned.'
            : `It comes to ${formatMoney(Math.abs(sum), currency)} ${sum > 0 ? 'more' : 'less'} than planned on ${formatDay(baseline.date)}.`}
        </Text>
      </View>
      {reasons.length > 0 ? (
        <View role="region" aria-label="The biggest reasons">
          {reasons.slice(0, TOLD).map((reason) => (
            <Row key={reason.text} style={styles.row}>
              <Text style={styles.grow}>{reason.text}</Text>
              <Text size="strong" tone={reason.sum > 0 ? 'bad' : 'good'}>
                {signed(reason.sum, currency)}
              </Text>
            </Row>
          ))}
          {more === 0 && reasons.length <= TOLD ? null : (
            <Row style={styles.row}>
              <Text tone="soft" style={styles.grow}>{`All else, ${reasons.length - TOLD}`}</Text>
              <Text>{signed(more, currency)}</Text>
            </Row>
          )}
        </View>
      ) : null}
      <Apart
        about="By category"
        rows={differencesByCategory(differences)
          .filter((row) => row.now !== row.planned || row.priceVariance !== 0)
          .map((row) => ({ ...row, name: capital(row.category) }))}
        currency={currency}
      />
      <Apart
        about="By thing"
        rows={changed.map((row) => ({ ...row, name: capital(row.name) }))}
        currency={currency}
      />
      <View style={styles.pad}>{again}</View>
    </>
  );
};

/** Price, quantity and what was forgotten, apart. */
const Apart = ({
  about,
  rows,
  currency,
}: {
  about: string;
  rows: Pick<Difference, 'name' | 'priceVariance' | 'quantityVariance' | 'forgotten'>[];
  currency: string;
}) =>
  rows.length === 0 ? null : (
    <View role="region" aria-label={about}>
      <SectionHeader title={about} />
      <FigureTable
        about={`${about}, figures`}
        columns={['', 'By price', 'By number', 'Forgotten']}
        rows={rows.map(({ name, priceVariance, quantityVariance, forgotten }, index) => ({
          key: `${index}`,
          cells: [
            name,
            ...[priceVariance, quantityVariance, forgotten].map((sum) =>
              sum === 0 ? '–' : signed(sum, currency),
            ),
          ],
        }))}
      />
    </View>
  );

const signed = (sum: number, currency: string): string =>
  `${sum > 0 ? '+' : '−'}${formatMoney(Math.abs(sum), currency)}`;

const styles = StyleSheet.create({
  pad: { padding: 16, gap: 10, alignItems: 'flex-start' },
  row: { paddingHorizontal: 16, paddingVertical: 12, flexDirection: 'row', gap: 12 },
  grow: { flex: 1 },
});

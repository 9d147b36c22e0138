import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Link } from 'expo-router';
import { explainToBuy, explainVerdict, freeShipping } from '@/core/budget';
import { planCost, shownPlan, type Plan } from '@/core/plan';
import { formatMoney } from '@/core/units';
import { useByHand, useForAWhile, type PlannedProject } from '@/hooks';
import { Button, Figure, StatusBadge, Text } from '@/ui';
import { Explained } from '@/forms';
import { doingWords, proofWords, verdictOf } from './words';

/** The sum to buy, whether it is proved, and what buying by hand would cost. */
export const BuyHead = ({
  open,
  unpriced,
  unmade,
}: {
  open: PlannedProject;
  /** How many things have no price, and how many cannot be made. */
  unpriced: number;
  unmade: number;
}) => {
  const { project, book, plan, money, doing, stop, failure } = open;
  const shown = shownPlan(plan);
  const isLong = useForAWhile(doing !== null);
  const [explained, setExplained] = useState<'sum' | 'verdict' | null>(null);
  return (
    <>
      <View style={styles.head}>
        <View style={styles.headline}>
          <Figure label="Where the sum to buy comes from" onPress={() => setExplained('sum')}>
            <Text size="title">
              {`${formatMoney(money.toBuy, project.currency)} to buy${money.complete ? '' : ', so far'}`}
            </Text>
          </Figure>
          {isJudged(shown, doing !== null) ? (
            <Pressable
              role="button"
              aria-label={`${verdictOf(plan)}: what that rests on`}
              onPress={() => setExplained('verdict')}
              style={styles.verdict}
            >
              <StatusBadge text={verdictOf(plan)} tone={shown?.status === 'proved' ? 'good' : 'plain'} />
            </Pressable>
          ) : null}
        </View>
        {shown ? (
          <Text size="small" tone="soft">
            {doing === null ? proofWords(shown, unpriced, unmade) : doingWords(shown, doing)}
          </Text>
        ) : null}
        {failure ? (
          <Text size="small" tone="bad" role="status">
            {failure}
          </Text>
        ) : null}
        {isLong ? (
          <Button mode="text" compact onPress={stop} style={styles.stop}>
            Stop looking
          </Button>
        ) : null}
        <ByHand open={open} />
        {freeShipping(open.request.input, plan).map(({ store, more, fee }) => (
          <Text key={store} size="small" tone="soft">
            {`${formatMoney(more, project.currency)} more of goods at ${store}, by its tags, and its shipping of ${formatMoney(fee, project.currency)} is free.`}
          </Text>
        ))}
        <OverTarget open={open} />
      </View>
      {explained === null ? null : (
        <Explained
          title={explained === 'sum' ? 'What is to buy' : `Why it says “${verdictOf(plan)}”`}
          currency={project.currency}
          onClose={() => setExplained(null)}
          {...(explained === 'sum'
            ? { explanations: [explainToBuy(project, book, plan)] }
            : { sentences: explainVerdict(plan) })}
        />
      )}
    </>
  );
};

/** Whether a verdict is said: at once where it is proved, else when nothing is looked for any more. */
const isJudged = (shown: Plan | null, isDoing: boolean): boolean =>
  shown !== null && (shown.status === 'proved' || (!isDoing && shown.total > shown.lowerBound));

/** How far the project is over its target, and the way to what would bring it under. */
const OverTarget = ({ open: { project, money, doing } }: { open: PlannedProject }) => {
  const isSettled = useForAWhile(doing === null);
  if (!isSettled || money.left === null || money.left >= 0) return null;
  return (
    <Link href={`/project/${project.id}/compare?view=save`} style={styles.link}>
      <Text tone="bad">
        {`${formatMoney(-money.left, project.currency)} over the target: how to get under it`}
      </Text>
    </Link>
  );
};

/** What the whole costs by hand; of the rest it says nothing: by hand too much was bought by then. */
const ByHand = ({ open: { project, plan, money, request } }: { open: PlannedProject }) => {
  const cost = useByHand(request);
  const shown = shownPlan(plan);
  if (!shown || cost === null || plan.status === 'infeasible' || project.purchases.length > 0) return null;
  // What has a typed price is bought the same way by hand.
  const besidePlan = money.toBuy - planCost(shown);
  const byHand = cost - shown.committedShipping + besidePlan;
  if (byHand <= money.toBuy) return null;
  return (
    <Text size="small" tone="soft">
      {`By hand, one store, one length: ${formatMoney(byHand, project.currency)}. This plan saves ${formatMoney(byHand - money.toBuy, project.currency)}.`}
    </Text>
  );
};

const styles = StyleSheet.create({
  head: { paddingHorizontal: 16, paddingTop: 14, paddingBottom: 4, gap: 4 },
  headline: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    justifyContent: 'space-between',
    gap: 12,
  },
  stop: { alignSelf: 'flex-start', marginLeft: -8 },
  link: { minHeight: 44, paddingVertical: 12, display: 'flex' },
  verdict: { minHeight: 44, justifyContent: 'center' },
});

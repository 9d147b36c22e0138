import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { hasFallen, scenarioWords, type Scenario, type WhatIf as Outcome } from '@/core/compare';
import { shownPlan } from '@/core/plan';
import { formatMoney } from '@/core/units';
import { usePlanned, type OpenProject, type PlannedProject } from '@/hooks';
import { useWhatIfs } from '@/hooks/compare';
import { Button, IconAction, Row, SectionHeader, Text } from '@/ui';
import { ScenarioForm } from './ScenarioForm';

const WOOD: Scenario = { kind: 'moves', what: { kind: 'wood' }, share: 0.1 };

/** What the project would come to if prices were others: each time planned anew, never a share of today's sum. */
export const WhatIf = ({ open }: { open: OpenProject }) => {
  const planned = usePlanned(open);
  return planned && (shownPlan(planned.plan)?.buys ?? []).length > 0 ? <Scenarios open={planned} /> : null;
};

const Scenarios = ({ open }: { open: PlannedProject }) => {
  const { project, book, plan, money, request, doing, isStale } = open;
  const [typed, setTyped] = useState<Scenario[]>([]);
  const [isAsking, setAsking] = useState(false);
  const usual: Scenario[] = [WOOD, ...(hasFallen(plan, book) ? [{ kind: 'as before' } as const] : [])];
  const scenarios = [...usual, ...typed];
  const outcomes = useWhatIfs(request, doing === null && !isStale ? plan : null, scenarios);
  return (
    <View role="region" aria-label="What if prices move">
      <SectionHeader
        title="What if prices move"
        note={money.complete ? 'planned anew each time' : 'planned anew, without what has no price'}
      />
      <View role="list" aria-label="What if prices move">
        {scenarios.map((scenario, index) => (
          <View key={JSON.stringify(scenario)} role="listitem">
            <Row style={styles.row}>
              <View style={styles.grow}>
                <Text size="strong">{scenarioWords(scenario, book, project)}</Text>
                <OutcomeWords
                  outcome={outcomes[index]}
                  now={money.total}
                  target={money.target}
                  currency={project.currency}
                />
              </View>
              {typed.includes(scenario) ? (
                <IconAction
                  icon="delete"
                  label={`Forget: ${scenarioWords(scenario, book, project)}`}
                  onPress={() => setTyped(typed.filter((other) => other !== scenario))}
                />
              ) : null}
            </Row>
          </View>
        ))}
      </View>
      {isAsking ? (
        <ScenarioForm
          open={open}
          onTake={(scenario) => {
            setTyped([
              ...typed.filter((other) => JSON.stringify(other) !== JSON.stringify(scenario)),
              scenario,
            ]);
            setAsking(false);
          }}
          onClose={() => setAsking(false)}
        />
      ) : (
        <View style={styles.ask}>
          <Button mode="outlined" compact icon="add" onPress={() => setAsking(true)}>
            What else may move
          </Button>
        </View>
      )}
    </View>
  );
};

interface OutcomeProps {
  /** Null: it cannot be told; undefined: not yet. */
  outcome: Outcome | null | undefined;
  now: number;
  target: number | null;
  currency: string;
}

/** `$276.01, $18.35 more: $3.99 left of the target. One 2x4x8 less.` */
const OutcomeWords = ({ outcome, now, target, currency }: OutcomeProps) => {
  const money = (sum: number) => formatMoney(sum, currency);
  if (!outcome)
    return (
      <Text size="small" tone="soft">
        {outcome === null ? 'Nothing can be planned at those prices.' : 'Planning …'}
      </Text>
    );
  const { total, isProved, otherwise } = outcome;
  const moved = total - now;
  const words =
    moved === 0
      ? 'as much as now'
      : `${isProved ? '' : 'at most '}${money(Math.abs(moved))} ${moved > 0 ? 'more' : 'less'}`;
  const left = target === null ? null : target - total;
  return (
    <>
      <Text size="small" tone={left !== null && left < 0 ? 'bad' : 'ink'}>
        {`${money(total)}, ${words}${left === null ? '' : left < 0 ? `: ${money(-left)} over the target` : `: ${money(left)} left of the target`}`}
      </Text>
      <Text size="small" tone="soft">
        {otherwise === '' ? 'The same is bought.' : `Then ${otherwise}`}
      </Text>
    </>
  );
};

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: 12, paddingHorizontal: 16, paddingVertical: 10 },
  grow: { flex: 1, gap: 2 },
  ask: { alignItems: 'flex-start', paddingHorizontal: 16, paddingVertical: 10 },
});

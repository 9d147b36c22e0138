import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useRouter } from 'expo-router';
import { costsNow, eachOf, explainAllIn, explainInPiece, explainTotal, type Costs } from '@/core/budget';
import { formatMoney } from '@/core/units';
import type { Plan } from '@/core/plan';
import type { Work } from '@/core/project';
import type { OpenProject } from '@/hooks';
import { SectionHeader, Button, SumRow } from '@/ui';
import { Explained, WorkFields } from '@/forms';
import { ToolCosts, TravelAndPower } from './CostFields';
import { WorthView } from './WorthView';

/** Where each of the three costs comes from. */
const EXPLAINED = {
  inPiece: { title: 'In the piece', explain: explainInPiece },
  atTill: { title: 'At the till', explain: explainTotal },
  allIn: { title: 'All in', explain: explainAllIn },
};

/** Nothing is told of hours, tools and travel. */
export const NO_WORK: Work = { hours: null, rate: null, beside: null };

/** The three answers to what it cost, what the third is made of, and what such a thing is worth. */
export const CostsView = ({ open, plan }: { open: OpenProject; plan: Plan | null }) => {
  const { project, book, dispatch } = open;
  const { currency, builds, work = NO_WORK } = project;
  const router = useRouter();
  const costs = useMemo(() => costsNow(project, book, plan), [project, book, plan]);
  const [explained, setExplained] = useState<keyof typeof EXPLAINED | null>(null);
  const shownSum = (what: keyof typeof EXPLAINED, sum: number) => ({
    sum: formatMoney(eachOf(sum, costs), currency),
    press: {
      label: `${EXPLAINED[what].title}, ${formatMoney(eachOf(sum, costs), currency)}: where it comes from`,
      run: () => setExplained(what),
    },
    ...(builds > 1 ? { inAll: `${formatMoney(sum, currency)} in all` } : {}),
  });
  const change = (fields: Partial<Work>) => dispatch({ type: 'editWork', fields });
  return (
    <>
      <View role="region" aria-label="What it costs">
        <SectionHeader title="What it costs" note={builds > 1 ? `each of ${builds}` : ''} />
        <SumRow
          label="In the piece"
          about="what it uses up of boards, boxes and cans"
          {...shownSum('inPiece', costs.inPiece)}
        />
        <SumRow
          label="At the till"
          about="whole boards, boxes and cans, tools, tax and trips"
          {...shownSum('atTill', costs.atTill)}
        />
        <SumRow label="All in" about={madeOf(costs, currency)} {...shownSum('allIn', costs.allIn)} />
      </View>
      {explained ? (
        <Explained
          title={EXPLAINED[explained].title}
          explanations={[EXPLAINED[explained].explain(project, book, plan)]}
          currency={currency}
          onClose={() => setExplained(null)}
        />
      ) : null}
      <ToolCosts open={open} costs={costs} work={work} onChange={change} />
      <SectionHeader title="Hours, travel, power" note="for all in" />
      <View style={styles.fields}>
        <WorkFields work={work} builds={builds} currency={currency} onChange={change} />
        <TravelAndPower work={work} currency={currency} unit={project.unit} onChange={change} />
      </View>
      <WorthView open={open} costs={costs} work={work} onChange={change} />
      <View style={styles.report}>
        <Button mode="outlined" onPress={() => router.navigate(`/project/${project.id}/report`)}>
          One page to print or keep
        </Button>
      </View>
    </>
  );
};

/** What all in adds to the till, in words. */
const madeOf = ({ tools, travel, power, labour, otherCosts }: Costs, currency: string): string => {
  const money = (sum: number) => formatMoney(sum, currency);
  const change = tools.reduce((sum, tool) => sum + tool.counted - (tool.at ? tool.price : 0), 0);
  const parts = [
    change !== 0 ? `tools ${change > 0 ? '+' : '−'}${money(Math.abs(change))}` : '',
    travel > 0 ? `travel ${money(travel)}` : '',
    power > 0 ? `power ${money(power)}` : '',
    labour > 0 ? `hours ${money(labour)}` : '',
    otherCosts > 0 ? `beside ${money(otherCosts)}` : '',
  ].filter(Boolean);
  return parts.length === 0
    ? 'nothing beside the till is told yet: tools, travel, power, hours'
    : `the till and ${parts.join(', ')}`;
};

const styles = StyleSheet.create({
  fields: { padding: 16, gap: 12 },
  report: { padding: 16, alignItems: 'flex-start' },
});

import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { explainSpent, typedPriceLines, ledgerOf, type ProjectMoney } from '@/core/budget';
import { formatDay, formatMoney } from '@/core/units';
import {
  newId,
  useOpened,
  usePlanned,
  useProject,
  useToday,
  useView,
  type OpenProject,
  type PlannedProject,
} from '@/hooks';
import { ImportDialog } from '@/imports';
import { Button, Columns, Figure, SegmentedButtons, useIsWide, Text } from '@/ui';
import { Explained } from '@/forms';
import { Charts } from './Charts';
import { CostsView } from './CostsView';
import { blankPurchase } from './blanks';
import { EntryForm } from './EntryForm';
import { Ledger } from './Ledger';
import { openedIn, purchaseAt, writeOpened } from './opened';
import { Reasons } from './Reasons';
import { TargetForm } from './TargetForm';

/** Where the money of a project stands and went: ledger, charts, reasons, costs. */
export const SpendPlace = ({ id }: { id: string }) => {
  const open = useProject(id);
  return open ? <Planned open={open} /> : null;
};

const Planned = ({ open }: { open: OpenProject }) => {
  const planned = usePlanned(open);
  return planned ? <Spend open={planned} /> : null;
};

const VIEWS = [
  { value: 'ledger', label: 'Ledger' },
  { value: 'charts', label: 'Charts' },
  { value: 'reasons', label: 'Reasons' },
  { value: 'costs', label: 'Costs' },
] as const;

const Spend = ({ open }: { open: PlannedProject }) => {
  const { project, book, plan, money } = open;
  const day = useToday();
  const isWide = useIsWide();
  const [view, setView] = useView(VIEWS, 'ledger');
  const [inAddress, setInAddress] = useOpened();
  const [isImporting, setImporting] = useState(false);
  const [isExplained, setExplained] = useState(false);
  const entries = useMemo(() => ledgerOf(project), [project]);
  const beside = useMemo(() => typedPriceLines(project, book), [project, book]);
  const said = (sum: number) => formatMoney(sum, project.currency);
  const close = () => setInAddress('');
  const [blank, setBlank] = useState(() => blankPurchase(newId(), day));
  const record = () => {
    setBlank(blankPurchase(newId(), day));
    setInAddress(writeOpened({ kind: 'record' }));
  };
  const opened = openedIn(inAddress);
  const at = purchaseAt(project, opened, blank);
  const form = at ? (
    <EntryForm
      key={`${at.purchase.id}-${at.line}`}
      open={open}
      plan={plan}
      at={at}
      onAnother={() => setInAddress(writeOpened({ kind: 'more', purchaseId: at.purchase.id }))}
      onClose={close}
    />
  ) : opened?.kind === 'target' ? (
    <TargetForm open={open} money={money} onClose={close} />
  ) : null;
  const charts = (
    <Charts
      project={project}
      book={book}
      plan={plan}
      money={money}
      entries={entries}
      beside={beside}
      today={day}
    />
  );
  return (
    // The ledger has its charts beside it where there is room.
    <Columns detail={form} beside={isWide && view === 'ledger' ? charts : null}>
      {isImporting ? <ImportDialog wanted="ledger" open={open} onClose={() => setImporting(false)} /> : null}
      <View style={styles.head}>
        <View style={styles.grow}>
          <Figure label="Where the sum spent comes from" onPress={() => setExplained(true)}>
            <Text size="title">{said(money.spent)} spent</Text>
          </Figure>
          <Text size="small" tone="soft">
            {forecastWords(money, said)}
          </Text>
          {project.budget?.date ? (
            <Text size="small" tone="soft">
              {`To be done by ${formatDay(project.budget.date)}.`}
            </Text>
          ) : null}
        </View>
        <Button mode="outlined" onPress={() => setInAddress(writeOpened({ kind: 'target' }))}>
          Target
        </Button>
      </View>
      {isExplained ? (
        <Explained
          title="What was spent"
          explanations={[explainSpent(project)]}
          currency={project.currency}
          onClose={() => setExplained(false)}
        />
      ) : null}
      <SegmentedButtons label="What is shown of the money" value={view} onChange={setView} options={VIEWS} />
      {view === 'ledger' ? (
        <Ledger
          project={project}
          entries={entries}
          onRecord={record}
          onImport={() => setImporting(true)}
          onChoose={({ purchaseId, line }) => setInAddress(writeOpened({ kind: 'line', purchaseId, line }))}
        />
      ) : view === 'charts' ? (
        charts
      ) : view === 'reasons' ? (
        <Reasons open={open} plan={plan} />
      ) : (
        <CostsView open={open} plan={plan} />
      )}
    </Columns>
  );
};

/** What it comes to when all that is planned is bought, and how that stands against the target. */
const forecastWords = (
  { toBuy, total, reserve, forecast, target, left, complete }: ProjectMoney,
  said: (sum: number) => string,
): string => {
  const lacking = complete ? '' : ', so far: something has no price yet';
  const held = reserve > 0 ? `, ${said(forecast)} with ${said(reserve)} held back` : '';
  const whole = `${said(toBuy)} still to buy: ${said(total)} when it is done${held}${lacking}`;
  if (target === null || left === null) return `${whole}. No target is set.`;
  return left >= 0 ? `${whole}, ${said(left)} under target.` : `${whole}, ${said(-left)} over target.`;
};

const styles = StyleSheet.create({
  head: {
    paddingHorizontal: 16,
    paddingTop: 14,
    gap: 12,
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'flex-start',
  },
  grow: { flex: 1, minWidth: 160, gap: 2 },
});

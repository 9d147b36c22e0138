import { Fragment } from 'react';
import { StyleSheet, View } from 'react-native';
import { extrasPaid, purchaseLine } from '@/core/budget';
import { formatDay, formatMoney, formatTag, toMinor } from '@/core/measure';
import type { Buy, Plan } from '@/core/plan';
import { daysBetween, isStale, knownOn, offerAt } from '@/core/prices';
import { tagName, type Item, type Project, type Purchase } from '@/core/project';
import { newId, notify, STALE_AFTER, today, useSettings, useToday, type OpenProject } from '@/data';
import { Band, Row, Stamp, Tick, useInk, Words } from '@/ui';
import type { Bought } from './BoughtForm';

interface Props {
  open: OpenProject;
  plan: Plan | null;
  onEdit: (bought: Bought) => void;
}

/** The shopping list by store: a tick buys a line at its planned price, a touch beside it asks for the price really paid. */
export const BuyList = ({ open, plan, onEdit }: Props) => {
  const { project, book, run, undo } = open;
  const { settings } = useSettings();
  const day = useToday();
  // Wood planed from rough is bought as it lies there.
  const offerOf = (buy: Buy) => offerAt(book, buy.offerKey);
  const itemOf = (buy: Buy): Item | null => {
    const item = offerOf(buy)?.item;
    return item ? { ...item, name: buy.item, section: buy.section } : null;
  };
  /** `price seen 74 days ago`, where that is long. */
  const oldWords = (buy: Buy): string => {
    const offer = offerOf(buy);
    const seen = offer ? knownOn(offer, book) : null;
    if (!offer || !isStale(seen, day, settings.staleAfter ?? STALE_AFTER)) return '';
    return seen === null ? 'price of no known day' : `price seen ${daysBetween(seen, day)} days ago`;
  };
  const buyNow = (buy: Buy) => {
    const item = itemOf(buy);
    if (!item) return;
    const purchase = purchaseOf(buy, item, project, open);
    run({ type: 'recordPurchase', purchase });
    notify({
      text: `${buy.item}: bought for ${formatMoney(buy.paid, project.currency)}.`,
      action: { label: 'Paid otherwise', run: () => onEdit(ofPurchase(purchase)) },
    });
  };
  const ids = [
    ...new Set([
      ...(plan?.stores.map(({ storeId }) => storeId) ?? []),
      ...project.purchases.map(({ storeId }) => storeId),
    ]),
  ];
  const nameOf = (id: string) =>
    book.stores[id]?.name ?? project.purchases.find(({ storeId }) => storeId === id)?.store ?? '';
  if (ids.length === 0) return <Words style={styles.pad}>Nothing to buy until there are prices.</Words>;
  return ids
    .sort((a, b) => nameOf(a).localeCompare(nameOf(b)))
    .map((storeId) => {
      const buys = plan?.buys.filter((buy) => buy.storeId === storeId) ?? [];
      const purchases = project.purchases.filter((purchase) => purchase.storeId === storeId);
      return (
        <View key={storeId} role="group" aria-label={nameOf(storeId)}>
          <Band title={nameOf(storeId)} note={storeNote(storeId, plan, purchases, open)} />
          {buys.map((buy, index) => {
            const item = itemOf(buy);
            const section = sectionOf(buy);
            const before = buys[index - 1];
            return (
              <Fragment key={buy.offerKey}>
                {before && sectionOf(before) === section ? null : (
                  <Words size="small" tone="soft" role="heading" style={styles.section}>
                    {section}
                  </Words>
                )}
                <BuyLine
                  title={`${buy.qty} × ${buy.item}`}
                  note={tagWords(buy, plan)}
                  warning={oldWords(buy)}
                  sum={formatMoney(buy.paid, project.currency)}
                  isBought={false}
                  onTick={() => buyNow(buy)}
                  onOpen={() =>
                    item &&
                    onEdit({ key: buy.offerKey, purchase: purchaseOf(buy, item, project, open), isNew: true })
                  }
                />
              </Fragment>
            );
          })}
          {purchases.flatMap((purchase) =>
            purchase.lines.map((line, index) => (
              <BuyLine
                key={`${purchase.id}-${index}`}
                title={`${line.quantity} × ${tagName(line.item)}`}
                note={`bought ${formatDay(purchase.date)}`}
                sum={formatMoney(line.price + line.tax, project.currency)}
                isBought
                onTick={() => {
                  run({ type: 'removePurchase', purchaseId: purchase.id });
                  notify({
                    text: `${tagName(line.item)} is to buy again.`,
                    action: { label: 'Undo', run: undo },
                  });
                }}
                onOpen={() => onEdit(ofPurchase(purchase))}
              />
            )),
          )}
        </View>
      );
    });
};

/** What lies together in a store: a section or sheet of one material; or hardware. */
const sectionOf = ({ kind, section, material }: Buy): string =>
  kind === 'hardware' ? 'Hardware' : `${section} ${material}`;

/** The price on the tag, and whether tax comes on top of it. */
const tagWords = ({ unitPrice, pack, paid, cost }: Buy, plan: Plan | null): string => {
  const currency = plan?.currency ?? '';
  const tag = `${formatTag(unitPrice, currency)} ${pack > 1 ? `a pack of ${pack}` : 'each'}`;
  const plain = toMinor(cost, currency);
  return paid > plain ? `${tag}, tax added` : paid < plain ? `${tag}, less discount` : tag;
};

const ofPurchase = (purchase: Purchase): Bought => ({ key: purchase.id, purchase, isNew: false });

/** The purchase that ticking a line makes: today, at the planned price. */
const purchaseOf = (buy: Buy, item: Item, project: Project, { book }: OpenProject): Purchase => {
  const store = book.stores[buy.storeId];
  return {
    id: newId(),
    date: today(),
    storeId: buy.storeId,
    store: buy.store,
    note: '',
    lines: [
      purchaseLine(
        item,
        buy.pack,
        buy.qty,
        buy.paid,
        store ?? { taxFree: false },
        project.settings,
        project.currency,
      ),
    ],
  };
};

/** What is still to pay at a store, what was paid, and what the way there adds. */
const storeNote = (
  storeId: string,
  plan: Plan | null,
  purchases: Purchase[],
  { book, project }: OpenProject,
): string => {
  const cost = plan?.stores.find((store) => store.storeId === storeId);
  const money = (sum: number) => formatMoney(sum, project.currency);
  const bought = purchases.flatMap(({ lines }) => lines);
  const extras =
    bought.length > 0
      ? extrasPaid(
          book,
          storeId,
          bought.reduce((sum, { price }) => sum + price, 0),
          cost !== undefined,
        )
      : 0;
  const paid = bought.reduce((sum, { price, tax }) => sum + price + tax, 0);
  return [
    cost ? money(cost.goods + cost.tax) : '',
    cost && cost.trip > 0 ? `trip ${money(cost.trip)}` : '',
    cost && cost.shipping > 0 ? `shipping ${money(cost.shipping)}` : '',
    paid > 0
      ? `paid ${money(paid)}${extras > 0 ? ` + ${money(extras)} ${book.stores[storeId]?.kind === 'online' ? 'shipping' : 'trip'}` : ''}`
      : '',
  ]
    .filter((word) => word !== '')
    .join(' · ');
};

interface LineProps {
  title: string;
  note: string;
  /** What to look at before it is bought; blank: nothing. */
  warning?: string;
  sum: string;
  isBought: boolean;
  onTick: () => void;
  onOpen: () => void;
}

const BuyLine = ({ title, note, warning, sum, isBought, onTick, onOpen }: LineProps) => {
  const ink = useInk();
  return (
    <View style={[styles.line, { backgroundColor: ink.card, borderColor: ink.hairline }]}>
      <Tick isTicked={isBought} label={`${title}: bought`} onPress={onTick} />
      <Row
        onPress={onOpen}
        label={`${title}, ${sum}: ${isBought ? 'change what was paid' : 'bought at another price'}`}
        style={styles.row}
      >
        <View style={styles.inside}>
          <View style={styles.grow}>
            <Words struck={isBought} tone={isBought ? 'soft' : 'ink'}>
              {title}
            </Words>
            <Words size="small" tone="soft">
              {note}
              {warning ? (
                <Words size="small" tone="bad">
                  {` · ${warning}`}
                </Words>
              ) : null}
            </Words>
          </View>
          {isBought ? <Stamp text="bought" /> : null}
          <Words size="strong">{sum}</Words>
        </View>
      </Row>
    </View>
  );
};

const styles = StyleSheet.create({
  pad: { padding: 16 },
  section: { paddingHorizontal: 16, paddingTop: 8, paddingBottom: 4 },
  line: { flexDirection: 'row', borderBottomWidth: 1 },
  row: { flex: 1, paddingVertical: 10, paddingRight: 16, borderBottomWidth: 0 },
  inside: { flexDirection: 'row', alignItems: 'center', gap: 12 },
  grow: { flex: 1 },
});

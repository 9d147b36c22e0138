import { Fragment, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { useRouter } from 'expo-router';
import { typedPriceLines, explainStore, recordPurchase, itemOfBuy, purchaseLine } from '@/core/budget';
import { daysBetween, formatDay, formatMoney, formatTag, toMinor } from '@/core/units';
import { type Buy, Plan } from '@/core/plan';
import { isStale, knownOn, offerAt } from '@/core/pricing';
import {
  keptMoney,
  purchaseMoney,
  keptQuantity,
  chargesOf,
  tagName,
  type Book,
  type Item,
  type Project,
  type Purchase,
} from '@/core/project';
import {
  newId,
  notify,
  staleAfter,
  today,
  useSettings,
  useToday,
  type OpenProject,
  type PlannedProject,
  usePending,
} from '@/hooks';
import { SectionHeader, Button, Text } from '@/ui';
import { Explained, type PurchaseAt } from '@/forms';
import { Anywhere } from './Anywhere';
import { BuyLine } from './BuyLine';

interface Props {
  open: PlannedProject;
  plan: Plan | null;
  onEdit: (at: PurchaseAt) => void;
}

/** The shopping list by store: a tick buys a line at its planned price, a touch beside it asks for the price really paid. */
export const BuyList = ({ open, plan, onEdit }: Props) => {
  const { project, book, dispatch, undo } = open;
  const { settings } = useSettings();
  const day = useToday();
  const router = useRouter();
  const offerOf = (buy: Buy) => offerAt(book, buy.offerKey);
  /** `price seen 74 days ago`, where that is long. */
  const oldWords = (buy: Buy): string => {
    const offer = offerOf(buy);
    const seen = offer ? knownOn(offer, book) : null;
    if (!offer || !isStale(seen, day, staleAfter(settings))) return '';
    return seen === null ? 'price of no known day' : `price seen ${daysBetween(seen, day)} days ago`;
  };
  const pending = usePending(open.generation);
  const [explained, setExplained] = useState<string | null>(null);
  const buyNow = (buy: Buy) => {
    const item = itemOfBuy(buy, book);
    if (!item || !pending.claim(buy.offerKey)) return;
    const purchase = purchaseOf(buy, item, project, open);
    dispatch(recordPurchase(project, book, plan, purchase, day));
    notify({
      text: `${buy.item}: bought for ${formatMoney(buy.costWithTax, project.currency)}.`,
      action: { label: 'Paid otherwise', run: () => onEdit({ purchase, line: 0, isNew: false }) },
    });
  };
  const places = placesOf(plan, project, book);
  const beside = typedPriceLines(project, book);
  if (places.length === 0 && beside.length === 0)
    return <Text style={styles.pad}>Nothing to buy until there are prices.</Text>;
  const removed = (purchase: Purchase, index: number, name: string) => {
    const line = purchase.lines[index];
    if (line) dispatch({ type: 'removeLine', purchaseId: purchase.id, line });
    notify({ text: `${name} is to buy again.`, action: { label: 'Undo', run: undo } });
  };
  return (
    <>
      {places.map(({ storeId, name }) => {
        const buys = plan?.buys.filter((buy) => buy.storeId === storeId) ?? [];
        const purchases = project.purchases.filter((one) =>
          storeId === '' ? one.storeId === '' && one.store === name : one.storeId === storeId,
        );
        return (
          <View key={storeId || name} role="group" aria-label={name}>
            <SectionHeader
              title={name}
              note={storeNote(storeId, plan, purchases, open)}
              {...(buys.length > 0
                ? {
                    onPress: () => setExplained(storeId),
                    label: `${name}: where its sum comes from`,
                  }
                : {})}
            />
            {buys.length > 0 || purchases.some(({ isOpen }) => isOpen) ? (
              <View style={styles.shop}>
                <Button
                  mode="outlined"
                  onPress={() => router.navigate(`/project/${project.id}/run?store=${storeId}`)}
                  accessibilityLabel={`Shop at ${name}`}
                >
                  {purchases.some(({ isOpen }) => isOpen) ? 'Go on shopping here' : 'Shop at this store'}
                </Button>
              </View>
            ) : null}
            {buys.map((buy, index) => {
              const item = itemOfBuy(buy, book);
              const section = sectionOf(buy);
              const before = buys[index - 1];
              return (
                <Fragment key={buy.offerKey}>
                  {before && sectionOf(before) === section ? null : (
                    <Text size="small" tone="soft" role="heading" style={styles.section}>
                      {section}
                    </Text>
                  )}
                  <BuyLine
                    title={`${buy.qty} × ${buy.item}`}
                    note={[tagWords(buy, plan), spareWords(buy)].filter(Boolean).join(' · ')}
                    warning={oldWords(buy)}
                    sum={formatMoney(buy.costWithTax, project.currency)}
                    isBought={pending.has(buy.offerKey)}
                    onTick={() => buyNow(buy)}
                    onOpen={() =>
                      item && onEdit({ purchase: purchaseOf(buy, item, project, open), line: 0, isNew: true })
                    }
                  />
                </Fragment>
              );
            })}
            {purchases.flatMap((purchase) =>
              purchase.lines.map((line, index) => (
                <BuyLine
                  key={`${purchase.id}-${index}`}
                  title={`${keptQuantity(line)} × ${tagName(line.item)}`}
                  note={purchase.isOpen ? 'in the cart' : `bought ${formatDay(purchase.date)}`}
                  sum={formatMoney(keptMoney(line), project.currency)}
                  isBought
                  onTick={() => removed(purchase, index, tagName(line.item))}
                  onOpen={() => onEdit({ purchase, line: index, isNew: false })}
                />
              )),
            )}
          </View>
        );
      })}
      {explained === null ? null : (
        <Explained
          title="What it comes to here"
          explanations={[explainStore(explained, project, book, plan)]}
          currency={project.currency}
          onClose={() => setExplained(null)}
        />
      )}
      <Anywhere open={open} beside={beside} pending={pending} onEdit={onEdit} />
    </>
  );
};

/** Where something is to buy or was bought, by name. */
const placesOf = (
  plan: Plan | null,
  { purchases }: Project,
  book: Book,
): { storeId: string; name: string }[] => {
  const places = new Map<string, { storeId: string; name: string }>();
  for (const { storeId, store } of [...(plan?.stores ?? []), ...purchases]) {
    const name = book.stores[storeId]?.name ?? store;
    places.set(storeId || name, { storeId, name });
  }
  return [...places.values()].sort((a, b) => a.name.localeCompare(b.name));
};

/** What lies together in a store: a section or sheet of one material; or hardware. */
const sectionOf = ({ kind, section, material }: Buy): string =>
  kind === 'hardware' ? 'Hardware' : `${section} ${material}`;

/** `1 of them spare`, where there are spare boards among them. */
const spareWords = ({ spare, kind }: Buy): string =>
  spare > 0 && kind !== 'hardware' ? `${spare} of them spare` : '';

/** The price on the tag, and whether tax comes on top of it. */
const tagWords = ({ unitPrice, pack, costWithTax, cost, storeId }: Buy, plan: Plan | null): string => {
  const currency = plan?.currency ?? '';
  const tag = `${formatTag(unitPrice, currency)} ${pack > 1 ? `a pack of ${pack}` : 'each'}`;
  const plain = toMinor(cost, currency);
  // A cent more or less may be what the store's rounding leaves.
  const isTaxed = (plan?.stores.find((store) => store.storeId === storeId)?.tax ?? 0) > 0;
  if (costWithTax > plain) return isTaxed ? `${tag}, tax added` : tag;
  return costWithTax < plain - 1 ? `${tag}, less discount` : tag;
};

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
        buy.costWithTax,
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
  const extras = purchases.reduce((sum, purchase) => sum + chargesOf(purchase), 0);
  const paid = purchases.reduce((sum, purchase) => sum + purchaseMoney(purchase), 0);
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

const styles = StyleSheet.create({
  pad: { padding: 16 },
  shop: { paddingHorizontal: 16, paddingTop: 8, alignItems: 'flex-start' },
  section: { paddingHorizontal: 16, paddingTop: 8, paddingBottom: 4 },
});

import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActivityIndicator } from 'react-native-paper';
import { useRouter } from 'expo-router';
import { assertNever } from '@/core/assertNever';
import { writePrices } from '@/core/io';
import type { Need, Offer } from '@/core/pricing';
import type { Price } from '@/core/project';
import { isLike, keepDraft, newId, saveFile, useDraft, useOpened, useView } from '@/hooks';
import { ImportDialog } from '@/imports';
import { ActionMenu, Button, Columns, Select, SegmentedButtons, useIsWide, Text } from '@/ui';
import { usePriceBookView, type PriceBookView } from './priceBookView';
import { blankDraft, draftForNeed, draftOfPrice, type PriceDraft } from './draft';
import { Cheapest } from './Cheapest';
import { FeedBand } from './FeedBand';
import { MaterialForm } from './MaterialForm';
import { Materials } from './Materials';
import { FeedReview } from './FeedReview';
import { Needed } from './Needed';
import { useNews } from './news';
import { OfferDetail } from './OfferDetail';
import { PriceForm } from './PriceForm';
import { PriceGrid } from './PriceGrid';
import { StoreForm } from './StoreForm';
import { draftOfStore, type StoreDraft } from './storeDraft';
import { StoreList } from './StoreList';
import { emptyStore } from '@/core/project';

type View_ = 'needed' | 'all' | 'cheapest' | 'materials' | 'stores';

/** What stands beside the list. Forms are kept while they are typed in. */
type Chosen =
  | { kind: 'offer'; offer: Offer }
  | { kind: 'price'; draft: PriceDraft; newStore: string; key: string }
  | { kind: 'store'; id: string | null; draft?: StoreDraft }
  | { kind: 'material'; name: string };

/** What is open of the book as it stands in the address, such as `store:s1`; null: nothing, or it is gone. */
const chosenIn = (text: string, { offers, stores }: PriceBookView): Chosen | null => {
  const [, kind, id = ''] = /^(\w+):(.+)$/.exec(text) ?? [];
  const offer = kind === 'offer' ? offers.find(({ key }) => key === id) : undefined;
  if (offer) return { kind: 'offer', offer };
  if (kind === 'material') return { kind, name: id };
  return kind === 'store' && stores.some((store) => store.id === id) ? { kind, id } : null;
};

/** A form that was open when the tab was closed. */
type Kept =
  | { form: 'price'; draft: PriceDraft; newStore: string }
  | { form: 'store'; id: string | null; draft: StoreDraft };

const isPriceDraft = isLike(blankDraft(null));
const isStoreDraft = isLike(draftOfStore(emptyStore('', '', 'USD'), 'in'));
const isKept = (value: unknown): value is Kept => {
  if (!isLike({ form: '', draft: {} })(value)) return false;
  return value.form === 'price'
    ? isPriceDraft(value.draft) && isLike({ newStore: '' })(value)
    : value.form === 'store' && isStoreDraft(value.draft) && 'id' in value;
};

/** The price book: of a project first what it needs; by itself, what all projects need. `asksFile`: a file is to be taken. */
export const PricesPlace = ({ id, asksFile = false }: { id: string | null; asksFile?: boolean }) => {
  const desk = usePriceBookView(id);
  const place = id === null ? 'prices' : `prices/${id}`;
  const kept = useDraft(place, isKept);
  if (desk === null) return <ActivityIndicator style={styles.wait} aria-label="Reading the prices" />;
  return desk ? <Prices desk={desk} place={place} kept={kept} asksFile={asksFile} /> : null;
};

const chosenOf = (kept: Kept | null): Chosen | null => {
  if (!kept) return null;
  return kept.form === 'price'
    ? { kind: 'price', draft: kept.draft, newStore: kept.newStore, key: 'kept' }
    : { kind: 'store', id: kept.id, draft: kept.draft };
};

const viewsOf = (isOfProject: boolean): { value: View_; label: string }[] => [
  { value: 'needed', label: isOfProject ? 'Needed here' : 'Needed' },
  { value: 'all', label: 'All prices' },
  // What is known by hand of the book alone has its place there.
  ...(isOfProject
    ? []
    : [
        { value: 'cheapest' as const, label: 'By unit' },
        { value: 'materials' as const, label: 'Materials' },
      ]),
  { value: 'stores', label: 'Stores' },
];

const Prices = ({
  desk,
  place,
  kept,
  asksFile,
}: {
  desk: PriceBookView;
  place: string;
  kept: Kept | null;
  asksFile: boolean;
}) => {
  const { project, stores, unit } = desk;
  const isWide = useIsWide();
  const router = useRouter();
  const views = viewsOf(project !== null);
  const [view, setView] = useView(views, desk.needs.length > 0 ? 'needed' : 'all');
  const [inAddress, setInAddress] = useOpened();
  // What is not in the book yet is no place to be led to.
  const [typed, setTyped] = useState<Chosen | null>(() => chosenOf(kept));
  const chosen = typed ?? chosenIn(inAddress, desk);
  const [opened, setOpened] = useState<'review' | 'import' | null>(asksFile ? 'import' : null);
  const feed = useNews(desk);
  const close = () => {
    keepDraft(place, null);
    setTyped(null);
    setInAddress('');
  };
  const type = (next: Chosen) => {
    setTyped(next);
    setInAddress('');
  };
  const show = (next: string) => {
    setTyped(null);
    setInAddress(next);
  };
  const price = (draft: PriceDraft) => type({ kind: 'price', draft, newStore: '', key: newId() });
  const fill = (need: Need) => price(draftForNeed(need, { unit }, stores[0]?.id ?? null));
  const edit = (seen: Price) => price(draftOfPrice(seen, unit));
  const open = ({ key }: Offer) => show(`offer:${key}`);
  const keep = (entry: Kept) => keepDraft(place, entry);
  const detail = formOf(chosen, { desk, keep, edit, close });
  return (
    <Columns detail={detail} width={view === 'all' ? 'all' : 'reading'}>
      {project ? null : <BookHead desk={desk} />}
      <SegmentedButtons label="Views of the prices" value={view} onChange={setView} options={views} />
      <View style={styles.actions}>
        <Button
          mode="contained"
          style={isWide ? null : styles.first}
          onPress={() => router.push(project ? `/aisle?project=${project.id}` : '/aisle')}
        >
          Enter prices in the aisle
        </Button>
        <Button mode="outlined" icon="add" onPress={() => price(blankDraft(stores[0]?.id ?? null))}>
          Add a price
        </Button>
        <ActionMenu
          label="Files of prices"
          anchor={(show) => (
            <Button mode="outlined" onPress={show}>
              Files
            </Button>
          )}
          actions={[
            { title: 'Take prices from a file', run: () => setOpened('import') },
            {
              title: `Save all prices in ${desk.currency} to a file`,
              run: () => saveFile('prices.csv', writePrices(desk.book, desk.currency, unit), 'text/csv'),
            },
          ]}
        />
      </View>
      <FeedBand desk={desk} feed={feed} onReview={() => setOpened('review')} />
      {view === 'needed' ? <Needed desk={desk} onFill={fill} onOpen={open} /> : null}
      {view === 'all' ? <PriceGrid desk={desk} onOpen={open} isBeside={detail !== null} /> : null}
      {view === 'cheapest' ? <Cheapest desk={desk} onOpen={open} /> : null}
      {view === 'materials' ? <Materials desk={desk} onOpen={(name) => show(`material:${name}`)} /> : null}
      {view === 'stores' ? (
        <StoreList
          desk={desk}
          onOpen={(id) => (id === null ? type({ kind: 'store', id }) : show(`store:${id}`))}
        />
      ) : null}
      {opened === 'review' ? (
        <FeedReview desk={desk} news={feed.news} onClose={() => setOpened(null)} />
      ) : null}
      {opened === 'import' ? (
        <ImportDialog
          wanted="prices"
          open={desk.open}
          prices={desk}
          asksAtOnce={asksFile}
          onClose={() => setOpened(null)}
        />
      ) : null}
    </Columns>
  );
};

/** What is touched of the book, in the form for it; null: nothing. */
const formOf = (
  chosen: Chosen | null,
  {
    desk,
    keep,
    edit,
    close,
  }: {
    desk: PriceBookView;
    keep: (entry: Kept) => void;
    edit: (price: Price) => void;
    close: () => void;
  },
) => {
  switch (chosen?.kind) {
    case 'price':
      return (
        <PriceForm
          key={chosen.key}
          desk={desk}
          initial={chosen.draft}
          initialStore={chosen.newStore}
          onDraft={(draft, newStore) => keep({ form: 'price', draft, newStore })}
          onClose={close}
        />
      );
    case 'store':
      return (
        <StoreForm
          key={chosen.id ?? 'new'}
          desk={desk}
          storeId={chosen.id}
          onDraft={(draft) => keep({ form: 'store', id: chosen.id, draft })}
          {...(chosen.draft ? { kept: chosen.draft } : {})}
          onClose={close}
        />
      );
    case 'material':
      return <MaterialForm key={chosen.name} desk={desk} name={chosen.name} onClose={close} />;
    case 'offer':
      return (
        <OfferDetail key={chosen.offer.key} desk={desk} offer={chosen.offer} onEdit={edit} onClose={close} />
      );
    case undefined:
      return null;
    default:
      return assertNever(chosen);
  }
};

/** Whose prices these are, and in what currency. */
const BookHead = ({ desk }: { desk: PriceBookView }) => {
  const { otherSide } = desk;
  return (
    <View style={styles.head}>
      <Text size="headline" style={styles.grow}>
        {desk.side === 'samples' ? 'Prices of the samples' : 'Price book'}
      </Text>
      {otherSide ? (
        <Button onPress={() => desk.setSide(otherSide)}>
          {desk.side === 'own' ? 'See the samples’ prices' : 'See my own prices'}
        </Button>
      ) : null}
      {desk.currencies.length > 1 ? (
        <Select
          label="In"
          usual={desk.currency}
          value={desk.currency}
          options={desk.currencies.map((code) => ({ value: code, label: code }))}
          onChange={desk.setCurrency}
        />
      ) : null}
    </View>
  );
};

const styles = StyleSheet.create({
  wait: { marginTop: 80 },
  head: { flexDirection: 'row', alignItems: 'center', paddingHorizontal: 16, paddingTop: 16 },
  grow: { flex: 1 },
  first: { width: '100%' },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: 10, paddingHorizontal: 16, paddingBottom: 12 },
});

import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { currentOffers, needsOf, type Need, type Offer } from '@/core/prices';
import { resolve, type Price } from '@/core/project';
import { newId, useProject, type OpenProject } from '@/data';
import { Band, Button, Columns, Row, Segments, useIsWide, Words } from '@/ui';
import { NeedCard, needTitle } from './NeedCard';
import { PriceForm, type PriceDraft } from './PriceForm';
import { blankDraft, draftForNeed, draftOfPrice } from './draft';
import { StoreForm } from './StoreForm';
import { OfferLine } from './OfferLine';
import { storeWords } from './words';

type View_ = 'needed' | 'all' | 'stores';
type Chosen = { kind: 'price'; draft: PriceDraft; key: string } | { kind: 'store'; id: string | null } | null;

/** The stores and their prices: first what this project needs and has no price for. */
export const PricesPlace = ({ id }: { id: string }) => {
  const open = useProject(id);
  return open ? <Prices open={open} /> : null;
};

const Prices = ({ open }: { open: OpenProject }) => {
  const { project, book } = open;
  const isWide = useIsWide();
  const [view, setView] = useState<View_>('needed');
  const [chosen, setChosen] = useState<Chosen>(null);
  const stores = Object.values(book.stores)
    .filter(({ currency }) => currency === project.currency)
    .sort((a, b) => a.name.localeCompare(b.name));
  const offers = currentOffers(book).filter(({ storeId }) => stores.some((store) => store.id === storeId));
  const used = offers.filter(({ storeId }) => !project.excludedStores.includes(storeId));
  const needs = needsOf(resolve(project).parts, used);
  const missing = needs.filter((need) => need.offers.length === 0);
  const close = () => setChosen(null);
  const price = (draft: PriceDraft) => setChosen({ kind: 'price', draft, key: newId() });
  const fill = (need: Need) => price(draftForNeed(need, project, stores[0]?.id ?? null));
  const edit = (seen: Price) => price(draftOfPrice(seen, project.unit));
  const form =
    chosen?.kind === 'price' ? (
      <PriceForm key={chosen.key} open={open} stores={stores} initial={chosen.draft} onClose={close} />
    ) : chosen?.kind === 'store' ? (
      <StoreForm key={chosen.id ?? 'new'} open={open} storeId={chosen.id} onClose={close} />
    ) : null;
  return (
    <Columns detail={form}>
      <Segments
        label="Views of the prices"
        value={view}
        onChange={setView}
        options={[
          { value: 'needed', label: 'Needed here' },
          { value: 'all', label: 'All prices' },
          { value: 'stores', label: 'Stores' },
        ]}
      />
      {view === 'needed' ? (
        <>
          {missing.length > 0 ? <Missing needs={missing} onFill={fill} /> : null}
          {needs.length === 0 ? (
            <Words style={styles.pad}>Nothing is needed yet. Add parts first.</Words>
          ) : null}
          {needs
            .filter((need) => need.offers.length > 0)
            .map((need) => (
              <NeedCard key={need.key} need={need} open={open} onAdd={() => fill(need)} onEdit={edit} />
            ))}
        </>
      ) : null}
      {view === 'all' ? (
        <All
          offers={offers}
          open={open}
          onEdit={edit}
          onAdd={() => price(blankDraft(stores[0]?.id ?? null))}
        />
      ) : null}
      {view === 'stores' ? (
        <>
          <View style={styles.pad}>
            <Button mode="outlined" icon="add" onPress={() => setChosen({ kind: 'store', id: null })}>
              Add a store
            </Button>
          </View>
          {stores.map((store) => (
            <Row
              key={store.id}
              onPress={() => setChosen({ kind: 'store', id: store.id })}
              label={`Change ${store.name}`}
              style={styles.row}
            >
              <Words size="strong">{store.name}</Words>
              <Words size="small" tone="soft">
                {storeWords(store)}
                {project.excludedStores.includes(store.id) ? ' · not used for this project' : ''}
              </Words>
            </Row>
          ))}
        </>
      ) : null}
      {isWide ? null : form}
    </Columns>
  );
};

const Missing = ({ needs, onFill }: { needs: Need[]; onFill: (need: Need) => void }) => (
  <View role="region" aria-label="No price yet">
    <Band
      title="No price yet"
      note={`${needs.length} ${needs.length === 1 ? 'thing' : 'things'}`}
      tone="bad"
    />
    {needs.map((need) => (
      <Row key={need.key} style={styles.row}>
        <View style={styles.missing}>
          <View style={styles.grow}>
            <Words>{needTitle(need)}</Words>
            <Words size="small" tone="soft">
              for {need.parts.map(({ name }) => name).join(', ')}
            </Words>
          </View>
          <Button
            mode="contained"
            onPress={() => onFill(need)}
            accessibilityLabel={`Add a price for ${needTitle(need)}`}
          >
            Add a price
          </Button>
        </View>
      </Row>
    ))}
  </View>
);

const All = ({
  offers,
  open: { project, book },
  onEdit,
  onAdd,
}: {
  offers: Offer[];
  open: OpenProject;
  onEdit: (price: Price) => void;
  onAdd: () => void;
}) => (
  <>
    <View style={styles.pad}>
      <Button mode="outlined" icon="add" onPress={onAdd}>
        Add a price
      </Button>
    </View>
    {Object.values(book.stores)
      .filter(({ id }) => offers.some(({ storeId }) => storeId === id))
      .map((store) => (
        <View key={store.id}>
          <Band
            title={store.name}
            note={`${offers.filter(({ storeId }) => storeId === store.id).length} prices`}
          />
          {offers
            .filter(({ storeId }) => storeId === store.id)
            .map((offer) => (
              <OfferLine
                key={offer.key}
                title={offer.name}
                offer={offer}
                project={project}
                isCheapest={false}
                onEdit={onEdit}
              />
            ))}
        </View>
      ))}
  </>
);

const styles = StyleSheet.create({
  pad: { padding: 16, alignItems: 'flex-start' },
  row: { padding: 12, paddingHorizontal: 16 },
  missing: { flexDirection: 'row', alignItems: 'center', gap: 12 },
  grow: { flex: 1 },
});

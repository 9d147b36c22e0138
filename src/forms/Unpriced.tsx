import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { faultOf } from '@/core/result';
import { parseCount, parseLength, parseTag, symbol } from '@/core/units';
import { hardwareNearness } from '@/core/hardwareKey';
import type { Plan, PlanProblem } from '@/core/plan';
import { withUnit } from '@/core/io';
import {
  currentOffers,
  needsOf,
  ripsTo,
  usualItem,
  usualLength,
  usualMaterial,
  type Need,
} from '@/core/pricing';
import { canRipWith, TABLE_SAW, USUAL_TOOLS } from '@/core/lumber';
import {
  emptyStore,
  nameItem,
  resolve,
  toolsOf,
  usesStore,
  type Book,
  type Item,
  type Price,
  type Project,
} from '@/core/project';
import { newId, today, type OpenProject } from '@/hooks';
import { Button, Row, SectionHeader, Select, Text, TextField } from '@/ui';
import { things } from './words';

interface Props {
  open: OpenProject;
  needs: Need[];
  /** The store where one is; else the one whose price was typed last. */
  at?: string;
}

/** What is to be bought and has no price: parts of one kind and material are one thing. */
export const unpricedNeeds = (
  { project, book }: Pick<OpenProject, 'project' | 'book'>,
  problems: PlanProblem[],
): Need[] => {
  const ids = new Set(problems.flatMap(({ code, partIds }) => (code === 'noPrice' ? partIds : [])));
  return needsOf(
    resolve(project, book.materials).parts.filter(({ id }) => ids.has(id)),
    [],
  );
};

/** The head of what is to be bought, and that no sum has in it. */
export const NotInSums = ({ title, count }: { title: string; count: number }) => (
  <SectionHeader title={title} note={`${things(count)}, not in the sums`} tone="bad" />
);

/** That something has no price yet, and a touch away the field for each: for a place where they are not the matter in hand. */
export const UnpricedFold = ({ open, plan, at }: { open: OpenProject; plan: Plan | null; at?: string }) => {
  const { project, book } = open;
  const [isOpen, setOpen] = useState(false);
  const needs = useMemo(() => unpricedNeeds({ project, book }, plan?.problems ?? []), [project, book, plan]);
  if (needs.length === 0) return null;
  if (isOpen) return <Unpriced open={open} needs={needs} at={at} />;
  return (
    <View style={styles.fold}>
      <Button mode="outlined" onPress={() => setOpen(true)}>
        {`${things(needs.length)} without a price: type ${needs.length === 1 ? 'it' : 'them'} here`}
      </Button>
    </View>
  );
};

/** What has no price yet, each with a field for what its tag says; all else is planned without it. */
export const Unpriced = ({ open, needs, at }: Props) => {
  const { project, book, dispatch } = open;
  const stores = Object.values(book.stores).filter((store) => usesStore(project, store));
  const [chosen, setChosen] = useState<string | null>(at ?? null);
  const storeId = stores.some(({ id }) => id === chosen) ? chosen : (lastStore(open, stores) ?? null);
  const save = (item: Item, price: number, pack: number) => {
    const store = storeId === null ? emptyStore(newId(), 'My store', project.currency) : null;
    const seen: Price = {
      id: newId(),
      storeId: store?.id ?? storeId ?? '',
      item,
      price,
      unit: item.kind === 'hardware' ? 'pack' : 'each',
      pack,
      minQty: 1,
      available: null,
      date: today(),
      source: 'typed',
      note: '',
    };
    dispatch({ type: 'putPrices', prices: [seen], stores: store ? [store] : [] });
  };
  if (needs.length === 0) return null;
  return (
    <View role="region" aria-label="No price yet">
      <NotInSums title="No price yet" count={needs.length} />
      {stores.length > 1 ? (
        <View style={styles.store}>
          <Select
            label="Seen at"
            value={storeId ?? ''}
            options={stores.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={setChosen}
          />
        </View>
      ) : null}
      {needs.map((need) => (
        <Line key={need.key} need={need} open={open} onPrice={save} />
      ))}
    </View>
  );
};

/** The store whose price was typed last; else the first. */
const lastStore = ({ book }: OpenProject, stores: { id: string }[]): string | undefined => {
  const ids = new Set(stores.map(({ id }) => id));
  const last = Object.values(book.prices)
    .filter((price) => price.source === 'typed' && ids.has(price.storeId))
    .reduce<Price | null>((a, b) => (!a || (b.date ?? '') >= (a.date ?? '') ? b : a), null);
  return last?.storeId ?? stores[0]?.id;
};

const Line = ({
  need,
  open,
  onPrice,
}: {
  need: Need;
  open: OpenProject;
  onPrice: (item: Item, price: number, pack: number) => void;
}) => {
  const { project, book } = open;
  const { unit, currency } = project;
  const [text, setText] = useState('');
  const [material, setMaterial] = useState(() => usualMaterial(need, unit));
  const [length, setLength] = useState(() => usualLength(need.longest, unit));
  const isLength = need.kind === 'board' ? parseLength(length, unit) : null;
  const item = usualItem(need, unit, {
    material: material.trim(),
    ...(isLength?.ok ? { length: withUnit({ text: length.trim(), ticks: isLength.value }, unit) } : {}),
  });
  const [pieces, setPieces] = useState('1');
  const read = parseTag(text);
  const pack = parseCount(pieces);
  const isNamed = need.kind === 'hardware' || material.trim() !== '';
  const isReady = read.ok && read.value > 0 && pack.ok && isNamed && isLength?.ok !== false;
  const save = () => {
    if (isReady) onPrice(item, read.value, pack.value);
  };
  const what = [need.name, need.materials.join(' or ')].filter(Boolean).join(' ');
  const near = useMemo(
    () => (need.kind === 'hardware' ? nearNames(need.name, project, book) : []),
    [need, project, book],
  );
  const sameAs = (name: string) =>
    open.dispatch(
      nameItem(
        open.project,
        need.parts.map(({ id }) => id),
        name,
      ),
    );
  return (
    <Row style={styles.row}>
      <Text>{`${need.count} × ${what}`}</Text>
      {near.length > 0 ? (
        <View style={styles.near}>
          {near.map((name) => (
            <Button key={name} mode="text" compact onPress={() => sameAs(name)}>
              {`It is “${name}”, which has a price`}
            </Button>
          ))}
        </View>
      ) : null}
      <RipIt need={need} open={open} />
      {need.kind === 'hardware' ? null : (
        <View style={styles.price}>
          {need.materials.length === 0 ? (
            <View style={styles.grow}>
              <TextField
                label={`${need.name}: of what wood, as its tag says`}
                shownLabel="of what, as its tag says"
                value={material}
                onChange={setMaterial}
                error={isNamed ? null : 'Write what its tag says, such as pine.'}
              />
            </View>
          ) : null}
          {need.kind === 'board' ? (
            <View style={styles.length}>
              <TextField
                label={`${need.name}: length it is sold in`}
                shownLabel="length sold"
                value={length}
                onChange={setLength}
                error={faultOf(isLength)}
                pad={unit}
              />
            </View>
          ) : null}
        </View>
      )}
      <View style={styles.price}>
        <View style={styles.grow}>
          <TextField
            label={`${item.name}: price on the tag, ${symbol(currency).trim()}`}
            shownLabel={need.kind === 'hardware' ? `price on the tag, ${symbol(currency).trim()}` : undefined}
            value={text}
            onChange={setText}
            inputMode="decimal"
            onSubmitEditing={save}
            error={text === '' ? null : faultOf(read)}
          />
        </View>
        {need.kind === 'hardware' ? (
          <View style={styles.pieces}>
            <TextField
              label={`${item.name}: pieces it brings`}
              shownLabel="brings"
              value={pieces}
              onChange={setPieces}
              inputMode="numeric"
              onSubmitEditing={save}
              error={pieces === '' ? null : faultOf(pack)}
            />
          </View>
        ) : null}
        <Button mode="outlined" onPress={save} disabled={!isReady}>
          Save
        </Button>
      </View>
    </Row>
  );
};

/** What the stores of a project sell. */
const offersAt = (project: Project, book: Book) =>
  currentOffers(book).filter(({ storeId }) => usesStore(project, book.stores[storeId]));

/** What is not sold may be ripped from something wider, by who has a table saw. */
const RipIt = ({ need, open: { project, book, dispatch } }: { need: Need; open: OpenProject }) => {
  const wider = useMemo(() => widerThan(need, project, book), [need, project, book]);
  if (wider === null) return null;
  const tools = [...(project.settings.tools ?? USUAL_TOOLS), TABLE_SAW];
  return (
    <View style={styles.near}>
      <Button
        mode="text"
        compact
        onPress={() => dispatch({ type: 'editSettings', fields: { tools } })}
        accessibilityLabel={`Rip ${need.name} from ${wider}: I have a table saw`}
      >
        {`It can be ripped from your ${wider}: I have a table saw`}
      </Button>
    </View>
  );
};

/** The narrowest section on sale that a part could be ripped from, where the project has no saw for that. */
const widerThan = ({ kind, parts, longest }: Need, project: Project, book: Book): string | null => {
  if (kind !== 'board' || canRipWith(toolsOf(project.settings, book))) return null;
  const wider = offersAt(project, book)
    .filter((offer) => offer.length >= longest && parts.every((part) => ripsTo(part, offer)))
    .sort((a, b) => a.thickness * a.width - b.thickness * b.width);
  return wider[0]?.item.section ?? null;
};

/** From so near on two names may be of one thing; and so many are offered. */
const NEAR = 0.34;
const MAX_NEAR = 2;

/** Names on sale that are near a name without a price, the nearest first. */
const nearNames = (name: string, project: Project, book: Book): string[] => {
  const names = offersAt(project, book)
    .filter(({ item }) => item.kind === 'hardware')
    .map((offer) => ({ name: offer.name, near: hardwareNearness(name, offer.name) }))
    .filter(({ near }) => near >= NEAR)
    .sort((a, b) => b.near - a.near || (a.name < b.name ? -1 : 1));
  return [...new Set(names.map((one) => one.name))].slice(0, MAX_NEAR);
};

const styles = StyleSheet.create({
  fold: { paddingHorizontal: 16, paddingVertical: 10, alignItems: 'flex-start' },
  near: { flexDirection: 'row', flexWrap: 'wrap', marginLeft: -8 },
  store: { paddingHorizontal: 16, paddingTop: 8, flexDirection: 'row' },
  row: { paddingHorizontal: 16, paddingVertical: 10, gap: 4 },
  price: { flexDirection: 'row', gap: 8, alignItems: 'center' },
  grow: { flex: 1 },
  pieces: { width: 88 },
  length: { width: 132 },
});

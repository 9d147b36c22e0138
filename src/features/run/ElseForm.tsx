import { StyleSheet, View } from 'react-native';
import { blankFault, faultOf, type Result } from '@/core/result';
import { cartLine, categoryOf, hardwareItem, type RunLine, type Deviation } from '@/core/budget';
import { withUnit } from '@/core/io';
import {
  formatMoney,
  parseCount,
  parseLength,
  parseMoney,
  symbol,
  toMain,
  toMinor,
  toMicros,
  type LengthUnit,
} from '@/core/units';
import { taxAt } from '@/core/plan';
import { currentOffers, type Offer } from '@/core/pricing';
import { itemName, tagName, type Item, type Price } from '@/core/project';
import { nameKey, parseSection } from '@/core/lumber';
import { newId, today } from '@/hooks';
import { forgetKept, useKept, useTries } from '@/forms';
import { Button, Choice, Stepper, Detail, Row, TextField, Text } from '@/ui';
import { cartCommands, letServe, surpriseOf, tellDone, type Run } from './cart';

const SERVES = [
  { value: 'yes', label: 'In its place' },
  { value: 'no', label: 'For itself' },
] as const;

/** What a form for something else begins with: what it stands for. */
const beginningOf = (instead: RunLine | null): { key: string; section: string; material: string } =>
  instead
    ? { key: instead.key, section: instead.item.section, material: instead.item.material }
    : { key: '', section: '', material: '' };

/** Something bought that was not on the list: in place of a line, or by itself. */
export const ElseForm = ({
  run,
  instead,
  onSurprise,
  onClose,
}: {
  run: Run;
  /** What was to be bought; null: nothing, it comes on top. */
  instead: RunLine | null;
  onSurprise: (surprise: Deviation | null) => void;
  onClose: () => void;
}) => {
  const { open, store } = run;
  const { project, book } = open;
  const { currency, unit } = project;
  const wanted = instead?.item ?? null;
  const isWood = wanted !== null && wanted.kind !== 'hardware';
  const begin = beginningOf(instead);
  const form = `something else bought ${project.id} ${store.id} ${begin.key}`;
  const [name, setName] = useKept(form, 'name', '');
  const [section, setSection] = useKept(form, 'section', begin.section);
  const [length, setLength] = useKept(form, 'length', '');
  const [material, setMaterial] = useKept(form, 'material', begin.material);
  const [quantity, setQuantity] = useKept(form, 'quantity', '1');
  const [price, setPrice] = useKept(form, 'price', '');
  const [serves, setServes] = useKept<'yes' | 'no'>(form, 'serves', 'yes');
  const tries = useTries();
  const here = currentOffers(book).filter(
    (offer) =>
      offer.storeId === store.id &&
      offer.available !== 0 &&
      isNear(offer, wanted) &&
      offer.key !== instead?.offerKey,
  );
  const choose = (offer: Offer) => {
    const { item, tiers } = offer;
    setName(item.kind === 'hardware' ? offer.name : '');
    setSection(item.section);
    setLength(withUnit(item.length, unit));
    setMaterial(item.material);
    setPrice(String(toMain(toMinor(tiers[0]?.unitPrice ?? 0, currency), currency)));
  };
  const count = parseCount(quantity);
  const paid = parseMoney(price, currency);
  const size = parseLength(length, unit);
  const cut = parseSection(section, unit);
  const item = itemFrom({ wanted, name, section, material, size, cut, length }, unit);
  const offer =
    item &&
    here.find((one) =>
      item.kind === 'hardware' ? nameKey(one.name) === nameKey(item.name) : one.itemKey === keyOf(item, one),
    );
  const each = eachWithTax(paid, taxAt(store, project.settings), currency);
  const many = count.ok ? count.value : 0;
  const take = () => {
    tries.attempt();
    if (!item || !paid.ok || !count.ok) return;
    const how = instead ? `instead of ${instead.name}` : 'too';
    onSurprise(surpriseOf(run, `${tagName(item)} bought ${how}`, tagName(item)));
    const isInstead = instead !== null && serves === 'yes';
    const changes = isInstead && isWood ? letServe(run, wanted.material, item.material) : [];
    const pack = offer?.pack ?? 1;
    const line = cartLine({ item, pack, category: categoryOf(item) }, many, each * many, store, project);
    const stands =
      isInstead && !isWood && nameKey(instead.name) !== nameKey(item.name) ? { for: instead.name } : {};
    const found = isWood && !offer ? [seenHere(item, toMicros(paid.value, currency), store.id)] : [];
    open.dispatch([
      ...changes,
      ...(found.length > 0 ? [{ type: 'putPrices' as const, prices: found }] : []),
      ...cartCommands(run, [{ ...line, ...stands }]),
    ]);
    tellDone(run, `${many} × ${tagName(item)} in the cart.`, () => onSurprise(null));
    forgetKept(form);
    onClose();
  };
  return (
    <Detail
      title={instead ? `Instead of ${instead.name}` : 'Something else bought'}
      onClose={onClose}
      foot={
        <Button mode="contained" onPress={take}>
          {each * many > 0 ? `In the cart: ${many} for ${formatMoney(each * many, currency)}` : 'In the cart'}
        </Button>
      }
    >
      {instead && here.length > 0 ? (
        <AlsoHere store={store.name} offers={here} chosen={offer} currency={currency} onChoose={choose} />
      ) : null}
      {isWood ? (
        <>
          <TextField
            label="Section"
            value={section}
            onChange={setSection}
            error={tries.told(
              wanted.kind === 'board' && !cut.ok ? 'Write a section such as 2x4 or 30x90mm.' : null,
            )}
          />
          <TextField
            label="Length"
            value={length}
            onChange={setLength}
            pad={unit}
            error={tries.told(faultOf(size))}
          />
          <TextField
            label="Material"
            value={material}
            onChange={setMaterial}
            error={tries.told(blankFault(material, 'Say what wood it is, as the tag does.'))}
          />
        </>
      ) : (
        <TextField
          label="What it is, as the tag says"
          value={name}
          onChange={setName}
          error={tries.told(blankFault(name, 'Say what it is, as the tag does.'))}
        />
      )}
      <Stepper
        label={offer && offer.pack > 1 ? `Packs of ${offer.pack}` : 'How many'}
        value={quantity}
        onChange={setQuantity}
        error={faultOf(count)}
      />
      <TextField
        label={`Price on the tag, each, ${symbol(currency).trim()}`}
        value={price}
        onChange={setPrice}
        inputMode="decimal"
        onSubmitEditing={take}
        error={tries.told(faultOf(paid))}
      />
      {instead ? (
        <Choice
          label={`Used in place of ${instead.name}?`}
          value={serves}
          options={SERVES}
          onChange={setServes}
        />
      ) : null}
    </Detail>
  );
};

/** One with tax, in minor units; 0 while no price is read. */
const eachWithTax = (paid: Result<number>, tax: number, currency: string): number =>
  paid.ok ? toMinor(Math.round(toMicros(paid.value, currency) * (1 + tax)), currency) : 0;

/** What was typed as an item; null while something is missing. */
const itemFrom = (
  {
    wanted,
    name,
    section,
    material,
    size,
    cut,
    length,
  }: {
    wanted: Item | null;
    name: string;
    section: string;
    material: string;
    length: string;
    size: ReturnType<typeof parseLength>;
    cut: ReturnType<typeof parseSection>;
  },
  unit: LengthUnit,
): Item | null => {
  if (wanted === null || wanted.kind === 'hardware')
    return name.trim() === '' ? null : hardwareItem(name.trim());
  const isSized = size.ok && material.trim() !== '' && (wanted.kind === 'sheet' || cut.ok);
  if (!isSized) return null;
  return named({
    kind: wanted.kind,
    name: '',
    section: wanted.kind === 'board' && cut.ok ? cut.value.name : section,
    length: { text: withUnit({ text: length.trim(), ticks: size.value }, unit), ticks: size.value },
    width: wanted.width,
    material: material.trim(),
  });
};

/** What else the store sells that could stand in. */
const AlsoHere = ({
  store,
  offers,
  chosen,
  currency,
  onChoose,
}: {
  store: string;
  offers: Offer[];
  chosen: Offer | null | undefined;
  currency: string;
  onChoose: (offer: Offer) => void;
}) => (
  <View role="group" aria-label={`Also sold at ${store}`}>
    <Text size="small" tone="soft">{`Also at ${store}`}</Text>
    {offers.slice(0, 8).map((one) => (
      <Row
        key={one.key}
        onPress={() => onChoose(one)}
        label={`Take ${one.name}`}
        isChosen={one === chosen}
        style={styles.offer}
      >
        <View style={styles.line}>
          <Text style={styles.grow}>{one.name}</Text>
          <Text size="strong">{formatMoney(toMinor(one.tiers[0]?.unitPrice ?? 0, currency), currency)}</Text>
        </View>
      </Row>
    ))}
  </View>
);

const named = (item: Item): Item => ({ ...item, name: itemName(item) });

const keyOf = (item: Item, offer: Offer): string =>
  item.section === offer.item.section &&
  item.length?.ticks === offer.length &&
  nameKey(item.material) === nameKey(offer.item.material)
    ? offer.itemKey
    : '';

/** Whether an offer could stand in: wood of the same section or thickness, hardware of a like name. */
const isNear = ({ item, name }: Offer, wanted: Item | null): boolean => {
  if (!wanted) return false;
  if (item.kind !== wanted.kind) return false;
  if (item.kind !== 'hardware') return item.section === wanted.section;
  const words = nameKey(wanted.name)
    .split(/\s+/)
    .filter((word) => /[a-z]{4}/.test(word));
  return words.some((word) => nameKey(name).includes(word));
};

/** The price of what was found in the store and was in no book. */
const seenHere = (item: Item, price: number, storeId: string): Price => ({
  id: newId(),
  storeId,
  item,
  price,
  unit: 'each',
  pack: 1,
  minQty: 1,
  available: null,
  date: today(),
  source: 'typed',
  note: '',
});

const styles = StyleSheet.create({
  offer: { paddingVertical: 12 },
  line: { flexDirection: 'row', gap: 12 },
  grow: { flex: 1 },
});

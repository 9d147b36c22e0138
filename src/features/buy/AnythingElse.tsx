import { StyleSheet, View } from 'react-native';
import { blankFault, faultOf } from '@/core/result';
import { categoryOf } from '@/core/budget';
import { capital } from '@/core/capital';
import { parseCount, parseMoney, symbol } from '@/core/units';
import { currentOffers } from '@/core/pricing';
import { CATEGORIES, emptyExtra, type Category } from '@/core/project';
import { nameKey } from '@/core/lumber';
import { newId, notify, type OpenProject } from '@/hooks';
import { forgetKept, useKept, useTries } from '@/forms';
import { Button, Choice, Stepper, Detail, TextField, Text } from '@/ui';

/** Something to buy beyond the wood: glue, sandpaper, a hired drill; from the price book by its name, or at a typed price. */
export const AnythingElse = ({ open, onClose }: { open: OpenProject; onClose: () => void }) => {
  const { project, book, dispatch, undo } = open;
  const { currency } = project;
  const form = `something else to buy ${project.id}`;
  const [name, setName] = useKept(form, 'name', '');
  const [quantity, setQuantity] = useKept(form, 'quantity', '1');
  const [price, setPrice] = useKept(form, 'price', '');
  const [chosen, setChosen] = useKept<Category | null>(form, 'category', null);
  const tries = useTries();
  const item = name.trim();
  const count = parseCount(quantity);
  const typed = price.trim() === '' ? null : parseMoney(price, currency);
  const offers = currentOffers(book).filter(
    ({ item: sold, storeId }) => sold.kind === 'hardware' && book.stores[storeId]?.currency === currency,
  );
  const sold = offers.find((offer) => nameKey(offer.name) === nameKey(item));
  const words = nameKey(item).split(' ').filter(Boolean);
  const alike =
    words.length === 0 || sold
      ? []
      : [...new Set(offers.map((offer) => offer.name))].filter((known) =>
          words.every((word) => nameKey(known).includes(word)),
        );
  const category = chosen ?? categoryOf({ kind: 'hardware', name: item });
  const add = (isOwned: boolean) => {
    tries.attempt();
    const isPriced = isOwned || sold !== undefined || typed?.ok === true;
    if (item === '' || !count.ok || (typed && !typed.ok) || !isPriced) return;
    const extra = {
      ...emptyExtra(newId()),
      name: item,
      amount: String(count.value),
      category,
      ...(isOwned ? { isOwned } : typed?.ok ? { price: typed.value } : { item: sold?.name ?? item }),
    };
    dispatch({ type: 'addExtra', extra });
    notify({ text: `${item} is in the project.`, action: { label: 'Undo', run: undo } });
    forgetKept(form);
    onClose();
  };
  const isUnknown = !typed && !sold && item !== '';
  const priceFault =
    faultOf(typed) ??
    tries.told(isUnknown ? 'No store of the price book has it by that name; write what one costs.' : null);
  return (
    <Detail
      title="Something else to buy"
      onClose={onClose}
      foot={
        <>
          <Button onPress={() => add(true)}>It is there already</Button>
          <Button mode="contained" onPress={() => add(false)}>
            Add it
          </Button>
        </>
      }
    >
      <TextField
        label="What it is"
        value={name}
        onChange={setName}
        autoFocus
        onSubmitEditing={() => add(false)}
        error={tries.told(blankFault(item, 'Say what it is, such as wood glue or drill hire.'))}
        help="Such as wood glue, sandpaper, a blade, concrete, drill hire."
      />
      {alike.length > 0 ? (
        <View style={styles.alike} role="group" aria-label="In the price book">
          {alike.slice(0, 6).map((known) => (
            <Button
              key={known}
              mode="outlined"
              compact
              accessibilityLabel={`Take ${known}`}
              onPress={() => setName(known)}
            >
              {known}
            </Button>
          ))}
        </View>
      ) : null}
      <Stepper label="How many" value={quantity} onChange={setQuantity} error={faultOf(count)} />
      {sold && !typed ? (
        <Text tone="soft">The price book has it: it is bought where that is cheapest.</Text>
      ) : null}
      <TextField
        label={`One costs, with tax, ${symbol(currency).trim()}`}
        value={price}
        onChange={setPrice}
        inputMode="decimal"
        onSubmitEditing={() => add(false)}
        error={priceFault}
        help={sold ? 'Blank: as the price book says.' : null}
      />
      <Choice
        label="Its money goes into"
        value={category}
        options={CATEGORIES.map((value) => ({ value, label: capital(value) }))}
        onChange={setChosen}
      />
    </Detail>
  );
};

const styles = StyleSheet.create({ alike: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 } });

import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Book } from '@/core/project';
import { fitnessInPlace, lifeOf, materialOf, nameKey, type Exposure, type Material } from '@/core/lumber';
import { Button, Row, TextField, Text } from '@/ui';
import type { PriceBookView } from './priceBookView';

/** Names of the materials of a book: those on sale, and those of which the user said something. */
export const materialsOf = (book: Book): string[] => {
  const names = new Map(
    Object.values(book.materials ?? {}).map(({ name }) => [nameKey(name), name] as const),
  );
  for (const { item } of Object.values(book.prices))
    if (item.material.trim() !== '' && !names.has(nameKey(item.material)))
      names.set(nameKey(item.material), item.material.trim());
  return [...names.values()].sort((a, b) => a.localeCompare(b));
};

/** The places that a material is or is not fit for, in words. */
export const PLACES: { value: Exposure; label: string }[] = [
  { value: 'indoors', label: 'Indoors, dry' },
  { value: 'damp', label: 'Indoors, damp' },
  { value: 'outdoors', label: 'Outdoors, off the ground' },
  { value: 'ground', label: 'In contact with the ground' },
];

/** The hardest place for which a material is fit without more ado. */
export const fitWords = (material: Material): string => {
  const fit = PLACES.filter(({ value }) => fitnessInPlace(material, value).verdict === 'fit');
  const hardest = fit.at(-1)?.value;
  return hardest === undefined ? 'wants a finish anywhere' : FIT_WORDS[hardest];
};

const FIT_WORDS: Record<Exposure, string> = {
  indoors: 'fit indoors',
  damp: 'fit where it is damp',
  outdoors: 'fit outdoors',
  ground: 'fit in the ground',
};

/** `10 to 20 years`. */
export const lifeWords = (material: Material, exposure: Exposure): string => {
  const { low, high } = lifeOf(material, exposure, false);
  return `${low} to ${high} years`;
};

/** Every material of the book: what its name stands for, and where it is fit. A press shows the rest. */
export const Materials = ({
  desk: { book },
  onOpen,
}: {
  desk: PriceBookView;
  onOpen: (name: string) => void;
}) => {
  const [name, setName] = useState('');
  const add = () => {
    if (name.trim() === '') return;
    onOpen(name.trim());
    setName('');
  };
  return (
    <View>
      <View style={styles.add}>
        <View style={styles.grow}>
          <TextField
            label="Another material, as its tag says"
            value={name}
            onChange={setName}
            onSubmitEditing={add}
          />
        </View>
        <Button mode="outlined" icon="add" onPress={add} disabled={name.trim() === ''}>
          Add
        </Button>
      </View>
      {materialsOf(book).map((each) => {
        const known = materialOf(each, book.materials);
        const words = [known.species, known.treatment, known.grade].filter(Boolean).join(' · ');
        return (
          <Row key={each} label={`Look at ${each}`} onPress={() => onOpen(each)} style={styles.row}>
            <View style={styles.line}>
              <View style={styles.grow}>
                <Text size="strong">{each}</Text>
                <Text size="small" tone="soft">
                  {words}
                </Text>
              </View>
              <Text size="small" tone="soft" align="right" style={styles.fit}>
                {fitWords(known)}
              </Text>
            </View>
          </Row>
        );
      })}
    </View>
  );
};

const styles = StyleSheet.create({
  add: { flexDirection: 'row', gap: 10, alignItems: 'center', paddingHorizontal: 16, paddingBottom: 12 },
  grow: { flex: 1 },
  row: { paddingHorizontal: 16, paddingVertical: 10 },
  line: { flexDirection: 'row', gap: 12, alignItems: 'center' },
  fit: { maxWidth: '52%' },
});

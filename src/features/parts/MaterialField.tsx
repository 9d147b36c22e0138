import { Pressable, StyleSheet, View } from 'react-native';
import { nameKey, parseMaterials } from '@/core/lumber';
import type { Book, Kind } from '@/core/project';
import { ok } from '@/core/result';
import { ReadField, TOUCH, useColors, Text } from '@/ui';

interface Props {
  label: string;
  materials: string[];
  book: Book;
  kind: Kind | null;
  /** Of the project: what is sold in another is no choice. */
  currency: string;
  /** What no material means here. */
  blank: string;
  onChange: (materials: string[]) => void;
}

/** Materials as text, and those that have a price one tap away. */
export const MaterialField = ({ label, materials, book, kind, currency, blank, onChange }: Props) => {
  const colors = useColors();
  const known = knownMaterials(book, kind, currency);
  const isIn = (name: string) => materials.some((material) => nameKey(material) === nameKey(name));
  const toggle = (name: string) =>
    onChange(
      isIn(name) ? materials.filter((material) => nameKey(material) !== nameKey(name)) : [...materials, name],
    );
  return (
    <View>
      <ReadField
        label={label}
        text={materials.join(' | ')}
        read={(text) => ok(parseMaterials(text.replace(/[,;]/g, '|')))}
        onRead={onChange}
        help={materials.length === 0 ? blank : null}
      />
      <View style={styles.known}>
        {known.map((name) => (
          <Pressable
            key={name}
            role="checkbox"
            aria-checked={isIn(name)}
            onPress={() => toggle(name)}
            style={[
              styles.name,
              {
                borderColor: isIn(name) ? colors.spruce : colors.hairline,
                backgroundColor: isIn(name) ? colors.pale : 'transparent',
              },
            ]}
          >
            <Text size="small">{name}</Text>
          </Pressable>
        ))}
      </View>
    </View>
  );
};

/** The materials that have a price, of one kind or of all that is cut. */
const knownMaterials = (book: Book, kind: Kind | null, currency: string): string[] => {
  const names = new Map<string, string>();
  for (const { item, storeId } of Object.values(book.prices))
    if (
      item.material !== '' &&
      book.stores[storeId]?.currency === currency &&
      (kind === null || item.kind === kind)
    )
      names.set(nameKey(item.material), item.material);
  return [...names.values()].sort();
};

const styles = StyleSheet.create({
  known: { flexDirection: 'row', flexWrap: 'wrap', gap: 6, marginTop: 6 },
  name: { minHeight: TOUCH, paddingHorizontal: 12, justifyContent: 'center', borderWidth: 1 },
});

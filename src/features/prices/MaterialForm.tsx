import { StyleSheet, View } from 'react-native';
import { capital } from '@/core/capital';
import {
  formatLength,
  fromMm,
  parseDecimal,
  percentText,
  TICKS_PER_FOOT,
  type LengthUnit,
} from '@/core/units';
import { fail, ok, type Result } from '@/core/result';
import {
  choosingNotes,
  fitnessOf,
  materialOf,
  nameKey,
  wantsFinish,
  YOURS,
  fitnessInPlace,
  VERDICT_WORDS,
  type Decay,
  type Material,
} from '@/core/lumber';
import { PROPERTIES_SOURCE, propertiesOf, seasonalMovement } from '@/core/lumber/movement';
import { notify } from '@/hooks';
import { Button, Choice, Detail, ReadField, Text } from '@/ui';
import type { PriceBookView } from './priceBookView';
import { lifeWords, PLACES } from './Materials';

const DECAYS: { value: Decay; label: string }[] = [
  { value: 'slight', label: 'Slight' },
  { value: 'moderate', label: 'Moderate' },
  { value: 'resistant', label: 'Resistant' },
  { value: 'treated', label: 'Treated' },
];

const GROUND = [
  { value: 'read', label: 'Read the tag' },
  { value: 'yes', label: 'Yes, UC4A' },
  { value: 'no', label: 'No, UC3B' },
] as const;

const PANELS = [
  { value: 'none', label: 'Sawn wood' },
  { value: 'plywood', label: 'Plywood' },
  { value: 'outdoor plywood', label: 'Outdoor plywood' },
  { value: 'fibreboard', label: 'Fibreboard' },
  { value: 'strand board', label: 'Strand board' },
] as const;

/** What is known of a material, and where it is from; what the user says instead holds everywhere. */
export const MaterialForm = ({
  desk,
  name,
  onClose,
}: {
  desk: PriceBookView;
  name: string;
  onClose: () => void;
}) => {
  const { book, dispatch, undo } = desk;
  const known = materialOf(name, book.materials);
  const isOwn = book.materials?.[nameKey(name)] !== undefined;
  const change = (fields: Partial<Material>) =>
    dispatch({
      type: 'putMaterial',
      material: { ...known, ...fields, name: known.name || name, source: YOURS },
    });
  const forget = () => {
    dispatch({ type: 'removeMaterial', name });
    notify({ text: `${name} is taken by its name again.`, action: { label: 'Undo', run: undo } });
  };
  return (
    <Detail
      title={name}
      onClose={onClose}
      foot={
        <>
          {isOwn ? <Button onPress={forget}>Take it by its name again</Button> : null}
          <Button mode="contained" onPress={onClose}>
            Done
          </Button>
        </>
      }
    >
      <Places material={known} />
      <ReadField
        label="Species"
        text={known.species}
        read={(text) => ok(text.trim())}
        onRead={(species) => change({ species })}
      />
      <Choice
        label="What it is"
        value={known.panel ?? 'none'}
        options={PANELS}
        onChange={(panel) => change({ panel: panel === 'none' ? null : panel })}
      />
      <Choice
        label="Stands decay"
        value={known.decay}
        options={DECAYS}
        onChange={(decay) =>
          change({ decay, treatment: decay === 'treated' ? known.treatment || 'pressure-treated' : '' })
        }
      />
      {known.decay === 'treated' ? (
        <Choice
          label="Treated for the ground"
          value={known.inGround === null ? 'read' : known.inGround ? 'yes' : 'no'}
          options={GROUND}
          onChange={(value) => change({ inGround: value === 'read' ? null : value === 'yes' })}
        />
      ) : null}
      <ReadField
        label="Grade"
        text={known.grade}
        read={(text) => ok(text.trim())}
        onRead={(grade) => change({ grade })}
      />
      <ReadField
        label="Extra boards against defects, in percent"
        inputMode="decimal"
        text={percentText(known.spare)}
        read={readPercent}
        onRead={(spare) => change({ spare })}
        help="By grade, common practice: stud 10, No. 2 5, premium none."
      />
      <ReadField
        label="Density against water, at 12 % moisture"
        inputMode="decimal"
        text={String(known.density)}
        read={readDensity}
        onRead={(density) => change({ density })}
      />
      <ReadField
        label="Note"
        text={known.note}
        read={(text) => ok(text.trim())}
        onRead={(note) => change({ note })}
      />
      <Text size="small" tone="soft">
        {known.source === YOURS ? 'As you say.' : `From: ${known.source}.`}
      </Text>
      <Properties material={known} unit={desk.unit} />
      <View>
        <Text size="strong" role="heading">
          At the rack
        </Text>
        {choosingNotes(known).map((note) => (
          <Text key={note} size="small" style={styles.note}>
            {note}
          </Text>
        ))}
      </View>
    </Detail>
  );
};

/** How it does in each place, why, and for how long. */
const Places = ({ material }: { material: Material }) => (
  <View role="list" aria-label="Where it is fit" style={styles.places}>
    {PLACES.map(({ value, label }) => {
      const fitness = fitnessInPlace(material, value);
      return (
        <View key={value} role="listitem">
          <View style={styles.place}>
            <Text style={styles.grow}>{label}</Text>
            <Text
              size="strong"
              tone={fitness.verdict === 'unfit' ? 'bad' : fitness.verdict === 'fit' ? 'good' : 'ink'}
            >
              {capital(VERDICT_WORDS[fitness.verdict])}
            </Text>
          </View>
          <Text size="small" tone="soft">
            {[
              fitness.sentence,
              `Stands ${lifeWords(material, value)}${wantsFinish(material, value) ? ' bare' : ''}.`,
            ]
              .filter(Boolean)
              .join(' ')}
          </Text>
        </View>
      );
    })}
    <View role="listitem">
      <View style={styles.place}>
        <Text style={styles.grow}>Near food or its soil, outdoors</Text>
        <Text size="strong">{capital(VERDICT_WORDS[nearFood(material).verdict])}</Text>
      </View>
      <Text size="small" tone="soft">
        {nearFood(material).sentence}
      </Text>
    </View>
    <Text size="small" tone="soft">
      How long it stands is a rule of thumb, from memory. A finish that is kept up adds to it outdoors.
    </Text>
  </View>
);

/** What the tables say of the wood itself. */
const Properties = ({ material, unit }: { material: Material; unit: LengthUnit }) => {
  const known = propertiesOf(material);
  const width = unit === 'in' ? TICKS_PER_FOOT : fromMm(300);
  const moves = seasonalMovement(material, width);
  if (!known || moves === null) return null;
  return (
    <View>
      <Text size="strong" role="heading">
        The wood itself
      </Text>
      {[
        `Hardness ${known.hardness} lbf: ${hardnessWords(known.hardness)}.`,
        `Moves: a flat-sawn board ${formatLength(width, unit)} wide gains and loses ${formatLength(moves, unit)} over the seasons indoors. Leave wide tops room.`,
        `Bare heartwood, durability class ${known.durability} of 5; 1 lasts longest. Sapwood is always 5.`,
      ].map((sentence) => (
        <Text key={sentence} size="small" style={styles.note}>
          {sentence}
        </Text>
      ))}
      <Text size="small" tone="soft" style={styles.note}>
        {`From: ${PROPERTIES_SOURCE}.`}
      </Text>
    </View>
  );
};

/** Against what a builder knows: soft pine and oak. */
const hardnessWords = (hardness: number): string =>
  hardness < 500
    ? 'a fingernail marks it'
    : hardness < 900
      ? 'a dropped tool dents it'
      : hardness < 1500
        ? 'hard, as oak'
        : 'harder than oak: drill for every screw';

const nearFood = (material: Material) =>
  fitnessOf(material, { exposure: 'outdoors', nearFood: true, treatedNearFood: 'avoid' });

const readPercent = (text: string): Result<number> => {
  const percent = parseDecimal(text.replace('%', ''));
  if (!percent.ok) return percent;
  return percent.value <= 100 ? ok(percent.value / 100) : fail('number', 'At most 100 percent.');
};

const readDensity = (text: string): Result<number> => {
  const density = parseDecimal(text);
  if (!density.ok) return density;
  return density.value > 0 && density.value <= 3
    ? density
    : fail('number', 'Wood lies between 0.1 and 1.3; water is 1.');
};

const styles = StyleSheet.create({
  places: { gap: 8 },
  place: { flexDirection: 'row', gap: 12 },
  grow: { flex: 1 },
  note: { marginTop: 4 },
});

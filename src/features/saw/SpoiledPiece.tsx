import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Measure } from '@/core/project';
import { writeLength, type LengthUnit, type Ticks } from '@/core/units';
import { useTries } from '@/forms';
import { Button, Choice, Fault, LengthField, Select } from '@/ui';

/** A piece that is cut, with its length. */
export interface CutPiece {
  index: number;
  name: string;
  length: Ticks;
}

const WRONGS = [
  { value: 'short', label: 'Too short' },
  { value: 'other', label: 'Wrong otherwise' },
] as const;

const MISSING = {
  short: 'Say by how much it is too short.',
  other: 'Say how much of its length is of use; 0: nothing.',
};

/** Asks which piece was cut wrong, and what of it is of use. */
export const SpoiledPiece = ({
  pieces,
  unit,
  onSpoil,
  onDone,
}: {
  pieces: CutPiece[];
  unit: LengthUnit;
  onSpoil: (piece: number, left: Ticks) => void;
  onDone: () => void;
}) => {
  const last = pieces.at(-1);
  const [at, setAt] = useState(String(last?.index ?? ''));
  const piece = pieces.find(({ index }) => String(index) === at) ?? last;
  const [wrong, setWrong] = useState<(typeof WRONGS)[number]['value']>('short');
  const [by, setBy] = useState<Measure | null>(null);
  const [left, setLeft] = useState<Measure | null>(null);
  const tries = useTries();
  if (!piece) return null;
  const told = wrong === 'short' ? by : left;
  const ofUse = told && (wrong === 'short' ? piece.length - told.ticks : told.ticks);
  const isBeyond = ofUse !== null && (ofUse < 0 || ofUse > piece.length);
  const fault = ofUse === null ? MISSING[wrong] : isBeyond ? 'That is more than the piece is long.' : null;
  const save = () => {
    tries.attempt();
    if (fault || ofUse === null) return;
    onSpoil(piece.index, ofUse);
    onDone();
  };
  return (
    <View style={styles.form} role="form" aria-label="A piece cut wrong">
      <Select
        label="Piece"
        usual={at}
        value={String(piece.index)}
        options={pieces.map(({ index, name, length }) => ({
          value: String(index),
          label: `${name}, ${writeLength(length, unit)}`,
        }))}
        onChange={setAt}
      />
      <Choice label="What is wrong" value={wrong} options={WRONGS} onChange={setWrong} />
      {wrong === 'short' ? (
        <LengthField
          label="Too short by"
          unit={unit}
          blank=" "
          value={by}
          onChange={setBy}
          onSubmitEditing={save}
        />
      ) : (
        <LengthField
          label="Of use in its length"
          unit={unit}
          blank=" "
          zero="allowed"
          value={left}
          onChange={setLeft}
          onSubmitEditing={save}
        />
      )}
      <Fault sentence={tries.told(fault)} />
      <View style={styles.buttons}>
        <Button mode="contained" onPress={save}>
          Plan it anew
        </Button>
        <Button onPress={onDone}>Cancel</Button>
      </View>
    </View>
  );
};

const styles = StyleSheet.create({
  form: { gap: 10 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 10 },
});

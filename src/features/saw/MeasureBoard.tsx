import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { BoardMark, Measure, MeasuredBoard } from '@/core/project';
import type { BoardThere } from '@/core/sawing';
import { formatLength, type LengthUnit } from '@/core/units';
import { newId } from '@/hooks';
import { useTries } from '@/forms';
import { Button, Fault, LengthField, Row, Select, Text } from '@/ui';
import { markFault, MARK_KINDS, markWords } from './marks';

interface Props {
  there: BoardThere;
  unit: LengthUnit;
  onMeasured: (board: MeasuredBoard) => void;
  /** It counts again as what it was sold as. */
  onForget: (boardId: string) => void;
  onClose: () => void;
}

/** Asks for the true length of a board that is there, and for the stretches that are of no use. */
export const MeasureBoard = ({ there: { item, measured }, unit, onMeasured, onForget, onClose }: Props) => {
  const given = measured?.length ?? item.length?.ticks ?? 0;
  const [length, setLength] = useState<Measure>({ text: formatLength(given, unit), ticks: given });
  const [marks, setMarks] = useState<BoardMark[]>(measured?.marks ?? []);
  const beyond = marks.find(({ to }) => to > length.ticks);
  const save = () => {
    if (!beyond) onMeasured({ id: measured?.id ?? newId(), item, length: length.ticks, marks });
  };
  return (
    <View style={styles.form} role="form" aria-label="The board as it is">
      <Text size="strong">{`${item.section} ${item.material}, sold as ${formatLength(item.length?.ticks ?? 0, unit)}`}</Text>
      <LengthField
        label="It measures"
        unit={unit}
        value={length}
        onChange={(value) => value && setLength(value)}
      />
      {marks.map((mark, index) => (
        <Row key={index} style={styles.mark}>
          <Text style={styles.grow}>{markWords(mark, unit)}</Text>
          <Button
            onPress={() => setMarks(marks.filter((_, at) => at !== index))}
            accessibilityLabel={`Take out: ${markWords(mark, unit)}`}
          >
            Take out
          </Button>
        </Row>
      ))}
      <MarkFields
        key={marks.length}
        unit={unit}
        length={length.ticks}
        onAdd={(mark) => setMarks([...marks, mark])}
      />
      <Fault
        sentence={
          beyond
            ? `${markWords(beyond, unit)} is beyond the end of the board. Take it out, or mend the length.`
            : null
        }
      />
      <View style={styles.buttons}>
        <Button mode="contained" onPress={save} disabled={beyond !== undefined}>
          Plan with this board
        </Button>
        {measured ? <Button onPress={() => onForget(measured.id)}>As it was sold</Button> : null}
        <Button onPress={onClose}>Cancel</Button>
      </View>
    </View>
  );
};

/** One more stretch that no part is cut from. */
const MarkFields = ({
  unit,
  length,
  onAdd,
}: {
  unit: LengthUnit;
  length: number;
  onAdd: (mark: BoardMark) => void;
}) => {
  const [from, setFrom] = useState<Measure | null>(null);
  const [to, setTo] = useState<Measure | null>(null);
  const [kind, setKind] = useState<BoardMark['kind']>('knot');
  const tries = useTries();
  const fault = markFault(from?.ticks ?? null, to?.ticks ?? null, length, unit);
  const add = () => {
    tries.attempt();
    if (!fault && from && to) onAdd({ from: from.ticks, to: to.ticks, kind });
  };
  return (
    <View style={styles.form}>
      <Text tone="soft">Not for parts, from the left end:</Text>
      <View style={styles.fields}>
        <View style={styles.grow}>
          <LengthField label="From" unit={unit} zero="allowed" blank=" " value={from} onChange={setFrom} />
        </View>
        <View style={styles.grow}>
          <LengthField label="To" unit={unit} blank=" " value={to} onChange={setTo} onSubmitEditing={add} />
        </View>
      </View>
      <Fault sentence={tries.told(fault)} />
      <View style={styles.buttons}>
        <Select label="It is" usual="knot" value={kind} options={MARK_KINDS} onChange={setKind} />
        <Button mode="outlined" onPress={add}>
          Mark this stretch
        </Button>
      </View>
    </View>
  );
};

const styles = StyleSheet.create({
  form: { gap: 10 },
  fields: { flexDirection: 'row', gap: 10 },
  grow: { flex: 1 },
  mark: { flexDirection: 'row', alignItems: 'center', gap: 10 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 10, alignItems: 'center' },
});

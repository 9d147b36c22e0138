import { View } from 'react-native';
import { formatLength, parseCount } from '@/core/units';
import { copiesOf, measure, type Part, type Project } from '@/core/project';
import { ok } from '@/core/result';
import { Button, LengthField, ReadField, Text } from '@/ui';
import { measureReader } from './reading';

interface Props {
  part: Part;
  project: Project;
  groupId: string;
  edit: (fields: Partial<Omit<Part, 'id'>>) => void;
}

/** The length taken on the real thing: it holds for what is not cut yet. */
export const MeasuredFields = ({ part, project, groupId, edit }: Props) => {
  const { measured, length } = part;
  if (!length) return null;
  if (!measured)
    return (
      <>
        <FitFields part={part} project={project} groupId={groupId} edit={edit} />
        <Button
          mode="outlined"
          onPress={() =>
            edit({ measured: { length: { text: length.text, ticks: length.ticks }, where: '', cut: 0 } })
          }
        >
          Measured on the real thing
        </Button>
      </>
    );
  const all = part.quantity * copiesOf(project.groups.find(({ id }) => id === groupId)) * project.builds;
  return (
    <View role="group" aria-label="As measured" style={{ gap: 12 }}>
      <LengthField
        label="As measured"
        value={measured.length}
        unit={project.unit}
        read={measureReader(project, groupId)}
        onChange={(taken) => taken && edit({ measured: { ...measured, length: taken } })}
      />
      <ReadField
        label="Where it was taken"
        text={measured.where}
        read={(text) => ok(text)}
        onRead={(where) => edit({ measured: { ...measured, where } })}
        help={measured.where === '' ? 'Such as: between the rails.' : null}
      />
      <ReadField
        label="Of them, cut already"
        inputMode="numeric"
        text={String(measured.cut)}
        read={(text) => (text.trim() === '0' ? ok(0) : parseCount(text))}
        onRead={(cut) => edit({ measured: { ...measured, cut } })}
        help={`${Math.max(0, all - measured.cut)} of ${all} take the measured length.`}
      />
      <Text size="small" tone="soft">
        {measuredWords(part, project)}
      </Text>
      <Button mode="outlined" onPress={() => edit({ measured: undefined })}>
        Go by the plan again
      </Button>
    </View>
  );
};

/** Slats between rails, trims: sawn a little long, and held back until they are measured. A shaped part is sawn to its measures. */
const FitFields = ({ part, project, groupId, edit }: Props) => {
  const { fitOver, shape = [] } = part;
  if (shape.length > 0) return null;
  if (!fitOver)
    return (
      <Button
        mode="outlined"
        onPress={() => edit({ fitOver: project.unit === 'in' ? measure('1/2', 'in') : measure('10', 'mm') })}
      >
        Cut to fit, measured on the piece
      </Button>
    );
  return (
    <View role="group" aria-label="Cut to fit" style={{ gap: 12 }}>
      <LengthField
        label="Cut to fit: sawn longer by"
        value={fitOver}
        unit={project.unit}
        read={measureReader(project, groupId)}
        onChange={(over) => over && edit({ fitOver: over })}
      />
      <Text size="small" tone="soft">
        Its board is sawn last, and it stays that much too long until it is measured.
      </Text>
      <Button mode="outlined" onPress={() => edit({ fitOver: undefined })}>
        Saw it as planned
      </Button>
    </View>
  );
};

/** `measured between the rails: 36 7/8", 1/8" longer than planned`; empty when it was not. */
export const measuredWords = ({ measured, length }: Part, { unit }: Project): string => {
  if (!measured || !length) return '';
  const difference = measured.length.ticks - length.ticks;
  const words =
    difference === 0
      ? 'as planned'
      : `${formatLength(Math.abs(difference), unit)} ${difference > 0 ? 'longer' : 'shorter'} than planned`;
  return `measured${measured.where === '' ? '' : ` ${measured.where}`}: ${formatLength(measured.length.ticks, unit)}, ${words}`;
};

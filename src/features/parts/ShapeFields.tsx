import { StyleSheet, View } from 'react-native';
import { formatLength, fromInches, fromMm, type LengthUnit } from '@/core/units';
import {
  faceOf,
  identifier,
  sidesOf,
  type Part,
  type Project,
  type Shaping,
  measure,
  measureOf,
} from '@/core/project';
import { shapingAt, shapeWords } from '@/core/project/shapeText';
import { blankLength, flatten, measuresWanted, placesOf, type OperationKind, type Shape } from '@/core/shape';
import { parseEnds, type WoodTone } from '@/core/lumber';
import { shapeDxf, shapeSvg, templateHtml } from '@/core/shape/files';
import { fileBase } from '@/core/io';
import { capital } from '@/core/capital';
import { saveFile } from '@/hooks';
import { ActionMenu, Button, FaceDrawing, LengthField, Row, Select, Text, useColors } from '@/ui';
import { partTone } from './partTone';
import { measureReader } from './reading';

interface Props {
  part: Part;
  project: Project;
  groupId: string;
  edit: (fields: Partial<Omit<Part, 'id'>>) => void;
}

/** What can be done to an outline, in the words of the workshop. */
const KINDS: { kind: OperationKind; title: string; done: string }[] = [
  { kind: 'clip', title: 'Clip a corner off', done: 'Corner clipped' },
  { kind: 'taper', title: 'Taper', done: 'Tapered' },
  { kind: 'notch', title: 'Notch', done: 'Notch' },
  { kind: 'round', title: 'Round a corner', done: 'Corner rounded' },
  { kind: 'curve', title: 'Curve an edge in', done: 'Edge curved in' },
  { kind: 'hole', title: 'Drill a hole', done: 'Hole' },
];

const LABELS: Record<OperationKind, Partial<Record<'along' | 'across' | 'from', string>>> = {
  clip: { along: 'Along the length', across: 'Across the width' },
  taper: { from: 'Full width for', across: 'Down to, at the end' },
  notch: {
    along: 'Along the length',
    across: 'Across the width',
    from: 'Begins, from the left or lower end',
  },
  round: { along: 'Radius' },
  curve: { across: 'Depth in the middle' },
  hole: {
    along: 'Diameter',
    from: 'Its middle, from the left end',
    across: 'Its middle, from the bottom edge',
  },
};

/** The shape of a part: what is done to its outline, one thing after the other, and how it comes out, to scale. */
export const ShapeFields = ({ part, project, groupId, edit }: Props) => {
  const shape = part.shape ?? [];
  const size = sizeOf(part, project, groupId);
  const group = project.groups.find(({ id }) => id === groupId);
  const face = size && faceOf(part, size, project.unit);
  const fault = face && !face.ok ? face.problems[0] : null;
  const setShape = (next: Shaping[]) => edit({ shape: next.length > 0 ? next : undefined });
  const actions = [
    ...KINDS.map(({ kind, title }) => ({
      title,
      run: () => setShape([...shape, newShaping(kind, part, project, size?.width ?? 0)]),
    })),
    { title: 'Right triangle, corner to corner', run: () => setShape([...shape, triangle(part, size)]) },
  ];
  return (
    <View role="group" aria-label="Shape" style={styles.all}>
      {shape.map((shaping, index) => (
        <OneShaping
          key={index}
          shaping={shaping}
          project={project}
          groupId={groupId}
          fault={fault?.place === `${index}` ? fault.sentence : null}
          onChange={(next) => setShape(shape.map((one, at) => (at === index ? next : one)))}
          onRemove={() => setShape(shape.filter((_, at) => at !== index))}
        />
      ))}
      {shape.length > 0 && size && face?.ok ? (
        <>
          <Face
            face={face.value}
            size={size}
            unit={project.unit}
            tone={group ? partTone(part, group) : 'softwood'}
            label={`${part.name}, to scale: ${shapeWords(part, size.width, project.unit)}`}
          />
          <Template shape={face.value} name={part.name} unit={project.unit} />
        </>
      ) : null}
      <ActionMenu
        label="Shape it"
        actions={actions}
        anchor={(open) => (
          <Button mode="outlined" onPress={open} disabled={!size}>
            {shape.length === 0 ? 'Shape it' : 'Shape it further'}
          </Button>
        )}
      />
    </View>
  );
};

type Size = Parameters<typeof faceOf>[1];

/** What a part is before its shape; null: it has no size yet. */
const sizeOf = (part: Part, { groups, unit }: Project, groupId: string): Size | null => {
  const group = groups.find(({ id }) => id === groupId);
  const sides = sidesOf(part, group, unit);
  const ends = parseEnds(part.ends);
  const length = part.length?.ticks ?? 0;
  return sides.ok && ends.ok && length > 0 && sides.value.width > 0
    ? { length, width: sides.value.width, ends: ends.value }
    : null;
};

/** Half of what there is, so that the drawing shows at once what it does. */
const newShaping = (kind: OperationKind, part: Part, project: Project, width: number): Shaping => {
  const { unit } = project;
  const step = unit === 'in' ? fromInches(1 / 8) : fromMm(1);
  const nice = (ticks: number) => measureOf(Math.max(step, Math.round(ticks / step) * step), unit);
  const length = part.length?.ticks ?? 0;
  const place = kind === 'taper' || kind === 'clip' ? 'top right' : (placesOf(kind)[0] ?? 'top right');
  return shapingAt(
    kind,
    place,
    kind === 'taper' || kind === 'hole' ? { from: nice(length / 2) } : {},
    nice(kind === 'hole' ? width / 2 : Math.min(width, length) / 3),
  );
};

/** Cut from corner to corner, whatever its length becomes. */
const triangle = (part: Part, size: Size | null): Shaping => {
  const own = identifier(part.name);
  return {
    kind: 'clip',
    place: 'top right',
    along: { text: `${own}.length`, ticks: size?.length ?? 0 },
    across: { text: `${own}.width`, ticks: size?.width ?? 0 },
    from: null,
  };
};

const Face = ({
  face,
  size,
  unit,
  tone,
  label,
}: {
  face: Shape;
  size: Size;
  unit: LengthUnit;
  tone: WoodTone;
  label: string;
}) => {
  const colors = useColors();
  return (
    <FaceDrawing
      length={blankLength(size)}
      width={size.width}
      outline={flatten(face.outline)}
      holes={face.holes}
      color={colors.wood[tone]}
      say={(ticks) => formatLength(ticks, unit)}
      label={label}
    />
  );
};

/** The shape as a file: to print at its true size, or for a program that draws or cuts. */
const Template = ({ shape, name, unit }: { shape: Shape; name: string; unit: LengthUnit }) => {
  const file = fileBase({ name });
  const actions = [
    {
      title: 'A template to print at true size',
      run: () =>
        saveFile(
          `${file}-template.html`,
          templateHtml(shape, name, unit === 'in' ? 'Letter' : 'A4'),
          'text/html',
        ),
    },
    {
      title: 'Its outline as SVG',
      run: () => saveFile(`${file}.svg`, shapeSvg(shape, name), 'image/svg+xml'),
    },
    { title: 'Its outline as DXF', run: () => saveFile(`${file}.dxf`, shapeDxf(shape), 'image/vnd.dxf') },
  ];
  return (
    <ActionMenu
      label="Template"
      actions={actions}
      anchor={(open) => (
        <Button mode="outlined" onPress={open}>
          Template
        </Button>
      )}
    />
  );
};

const OneShaping = ({
  shaping,
  project,
  groupId,
  fault,
  onChange,
  onRemove,
}: {
  shaping: Shaping;
  project: Project;
  groupId: string;
  fault: string | null;
  onChange: (shaping: Shaping) => void;
  onRemove: () => void;
}) => {
  const { kind, place } = shaping;
  const done = KINDS.find((one) => one.kind === kind)?.done ?? kind;
  const places = placesOf(kind);
  const step = project.unit === 'in' ? measure('1', 'in') : measure('25', 'mm');
  return (
    <Row style={styles.one}>
      <View style={styles.fields} role="group" aria-label={done}>
        <View style={styles.head}>
          <Text size="strong" style={styles.grow}>
            {done}
          </Text>
          <Button mode="text" onPress={onRemove} accessibilityLabel={`Leave out: ${done}`}>
            Leave out
          </Button>
        </View>
        {places.length > 1 ? (
          <Select
            label="Where"
            value={place}
            options={places.map((value) => ({ value, label: capital(value) }))}
            onChange={(next) => onChange(shapingAt(kind, next, shaping, step))}
          />
        ) : null}
        {measuresWanted(kind, place).map((name) => (
          <LengthField
            key={name}
            label={LABELS[kind][name] ?? name}
            value={shaping[name]}
            unit={project.unit}
            zero={name === 'from' ? 'allowed' : undefined}
            read={measureReader(project, groupId)}
            onChange={(measure) => measure && onChange({ ...shaping, [name]: measure })}
          />
        ))}
        {fault === null ? null : (
          <View role="alert">
            <Text tone="bad">{fault}</Text>
          </View>
        )}
      </View>
    </Row>
  );
};

const styles = StyleSheet.create({
  all: { gap: 12 },
  one: { paddingHorizontal: 0 },
  fields: { flex: 1, gap: 8 },
  head: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  grow: { flex: 1 },
});

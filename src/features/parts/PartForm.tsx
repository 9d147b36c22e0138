import { View } from 'react-native';
import { formatLength, parseAngle, parseCount } from '@/core/measure';
import { parseEnds, parseSection, parseThickness, thicknessName, writeEnds, type Ends } from '@/core/wood';
import { resolve, type Group, type Kind, type Part } from '@/core/project';
import { ok, type Result } from '@/core/result';
import { newId, notify, type OpenProject } from '@/data';
import { Button, Choice, Detail, KINDS, LengthField, ReadField, Words } from '@/ui';
import { MaterialField } from './MaterialField';
import type { Chosen } from './chosen';
import { freeName } from './QuickLine';

interface Props {
  open: OpenProject;
  partId: string;
  onClose: () => void;
  onChoose: (chosen: Chosen) => void;
}

const SHAPES: { value: Ends['shape']; label: string }[] = [
  { value: 'square', label: 'Square' },
  { value: 'mitre', label: 'Both inward' },
  { value: 'parallel', label: 'Both the same way' },
  { value: 'one', label: 'One slanted' },
];

const anything = (text: string): Result<string> => ok(text);

const filled =
  (what: string) =>
  (text: string): Result<string> =>
    text.trim() === ''
      ? { ok: false, problems: [{ code: 'blank', place: '', sentence: `Give ${what}.` }] }
      : ok(text.trim());

/** One part: every field takes effect as it is typed, so that boards and money move along. */
export const PartForm = ({ open, partId, onClose, onChoose }: Props) => {
  const { project, book, run, undo } = open;
  const home = project.groups.find(({ options }) =>
    options.some(({ parts }) => parts.some(({ id }) => id === partId)),
  );
  const siblings = home?.options.flatMap(({ parts }) => parts) ?? [];
  const part = siblings.find(({ id }) => id === partId);
  if (!home || !part) return null;
  const edit = (fields: Partial<Omit<Part, 'id'>>) => run({ type: 'editPart', partId, fields });
  const problem = resolve(project).problems.find((found) => found.partId === partId);
  const readName = (text: string): Result<string> =>
    siblings.some(({ id, name }) => id !== partId && name === text.trim())
      ? {
          ok: false,
          problems: [
            {
              code: 'name',
              place: '',
              sentence: `There is a ${text.trim()} in ${home.name} already; give it another name.`,
            },
          ],
        }
      : filled('the part a name')(text);
  const duplicate = () => {
    const copy = { ...part, id: newId(), name: freeName(project, home.id, part.name) };
    run({ type: 'addPart', groupId: home.id, part: copy, index: siblings.indexOf(part) + 1 });
    onChoose({ kind: 'part', id: copy.id });
  };
  const remove = () => {
    run({ type: 'removePart', partId });
    onClose();
    notify({ text: `${part.name} is deleted.`, action: { label: 'Undo', run: undo } });
  };
  return (
    <Detail
      title={part.name}
      onClose={onClose}
      foot={
        <>
          <Button icon="delete" onPress={remove}>
            Delete
          </Button>
          <Button icon="copy" onPress={duplicate}>
            Duplicate
          </Button>
          <Button mode="contained" onPress={onClose}>
            Done
          </Button>
        </>
      }
    >
      <ReadField label="Name" text={part.name} read={readName} onRead={(name) => edit({ name })} />
      <ReadField
        label="How many"
        inputMode="numeric"
        text={String(part.quantity)}
        read={parseCount}
        onRead={(quantity) => edit({ quantity })}
      />
      <Choice
        label="Cut from"
        value={part.kind}
        options={KINDS}
        onChange={(kind) => edit(kindFields(kind))}
      />
      {part.kind === 'hardware' ? (
        <ReadField
          label="Item, as on the shelf tag"
          text={part.item}
          read={anything}
          onRead={(item) => edit({ item })}
          help={part.item === '' ? `Blank: ${part.name}` : null}
        />
      ) : (
        <>
          <SizeFields part={part} open={open} edit={edit} />
          <MaterialField
            label="Materials, the best liked first"
            materials={part.materials}
            book={book}
            kind={part.kind}
            blank={
              home.materials.length > 0 ? `Blank: as the group, ${home.materials.join(' or ')}` : 'Blank: any'
            }
            onChange={(materials) => edit({ materials })}
          />
        </>
      )}
      {project.groups.length > 1 ? (
        <Choice
          label="Group"
          value={home.id}
          options={project.groups.map((group: Group) => ({ value: group.id, label: group.name }))}
          onChange={(groupId) =>
            run({
              type: 'movePart',
              partId,
              groupId,
              index: project.groups.find(({ id }) => id === groupId)?.options[0]?.parts.length ?? 0,
            })
          }
        />
      ) : null}
      <ReadField label="Note" text={part.note} read={anything} onRead={(note) => edit({ note })} />
      {problem ? (
        <View role="alert">
          <Words tone="bad">{problem.sentence}</Words>
        </View>
      ) : null}
    </Detail>
  );
};

/** What a change of kind takes along: fields that mean nothing for the new kind are blank again. */
const kindFields = (kind: Kind): Partial<Part> => ({
  kind,
  section: '',
  ...(kind === 'board' ? {} : { ends: 'square' }),
  ...(kind === 'sheet' ? {} : { width: null, grain: 'any' as const }),
  ...(kind === 'hardware' ? { length: null } : {}),
});

const SizeFields = ({
  part,
  open: { project },
  edit,
}: {
  part: Part;
  open: OpenProject;
  edit: (fields: Partial<Omit<Part, 'id'>>) => void;
}) => {
  const { unit } = project;
  return (
    <>
      {part.kind === 'board' ? (
        <ReadField
          label="Section"
          text={part.section}
          read={(text) => parseSection(text, unit)}
          onRead={({ name }) => edit({ section: name })}
        />
      ) : (
        <ReadField
          label="Thickness"
          text={part.section}
          read={(text) => parseThickness(text, unit)}
          onRead={(ticks) => edit({ section: thicknessName(ticks) })}
        />
      )}
      <LengthField
        label={part.kind === 'sheet' ? 'Length, along the grain' : 'Length, along the longest edge'}
        value={part.length}
        unit={unit}
        onChange={(length) => edit({ length })}
      />
      {part.kind === 'sheet' ? (
        <>
          <LengthField label="Width" value={part.width} unit={unit} onChange={(width) => edit({ width })} />
          <Choice
            label="Grain"
            value={part.grain}
            options={[
              { value: 'any', label: 'May be turned' },
              { value: 'length', label: 'Along the length' },
            ]}
            onChange={(grain) => edit({ grain })}
          />
        </>
      ) : (
        <EndsFields text={part.ends} onChange={(ends) => edit({ ends })} />
      )}
      <LengthField
        label="May come out short by"
        value={part.shortOk}
        unit={unit}
        zero="allowed"
        blank={`Blank: as the project, ${formatLength(project.settings.shortOk.ticks, unit)}`}
        onChange={(shortOk) => edit({ shortOk })}
      />
    </>
  );
};

const EndsFields = ({ text, onChange }: { text: string; onChange: (ends: string) => void }) => {
  const read = parseEnds(text);
  const ends: Ends = read.ok ? read.value : { shape: 'square' };
  const shaped = (shape: Ends['shape']): Ends =>
    shape === 'square'
      ? { shape }
      : {
          shape,
          angle: ends.shape === 'square' ? 45 : ends.angle,
          across: ends.shape === 'square' ? 'face' : ends.across,
        };
  return (
    <>
      <Choice
        label="Ends"
        value={ends.shape}
        options={SHAPES}
        onChange={(shape) => onChange(writeEnds(shaped(shape)))}
      />
      {ends.shape === 'square' ? null : (
        <>
          <ReadField
            label="Degrees off square"
            text={String(ends.angle)}
            read={parseAngle}
            onRead={(angle) => onChange(writeEnds({ ...ends, angle }))}
          />
          <Choice
            label="Slanted across"
            value={ends.across}
            options={[
              { value: 'face', label: 'The face' },
              { value: 'edge', label: 'The thickness' },
            ]}
            onChange={(across) => onChange(writeEnds({ ...ends, across }))}
          />
        </>
      )}
    </>
  );
};

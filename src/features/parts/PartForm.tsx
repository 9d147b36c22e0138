import { View } from 'react-native';
import {
  partLetters,
  resolve,
  sidesOf,
  type Group,
  type Kind,
  type Part,
  type Project,
  type Shows,
} from '@/core/project';
import { ok, type Result } from '@/core/result';
import { newId, notify, type OpenProject } from '@/hooks';
import { Button, Choice, Detail, KINDS, ReadField, Text } from '@/ui';
import { EditFoot } from './EditFoot';
import { MaterialField } from './MaterialField';
import type { Chosen } from './chosen';
import { MeasuredFields } from './MeasuredFields';
import { freeName, namesIn } from './freeName';
import { mirrorPart } from './mirrorPart';
import { countReader } from './reading';
import { ShapeFields } from './ShapeFields';
import { SizeFields, withFormula } from './SizeFields';

interface Props {
  open: OpenProject;
  partId: string;
  onClose: () => void;
  onChoose: (chosen: Chosen) => void;
}

const SHOWN: { value: Shows; label: string }[] = [
  { value: 'all', label: 'All round' },
  { value: 'front', label: 'One face and edges' },
  { value: 'none', label: 'Nothing' },
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
  const { project, book, dispatch, undo } = open;
  const home = project.groups.find(({ options }) =>
    options.some(({ parts }) => parts.some(({ id }) => id === partId)),
  );
  const siblings = home?.options.flatMap(({ parts }) => parts) ?? [];
  const part = siblings.find(({ id }) => id === partId);
  if (!home || !part) return null;
  const edit = (fields: Partial<Omit<Part, 'id'>>) => dispatch({ type: 'editPart', partId, fields });
  const letter = partLetters(project)[part.id];
  const problem = problemOf(part, project);
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
    const copy = {
      ...part,
      role: undefined,
      mirrorOf: undefined,
      id: newId(),
      name: freeName(namesIn(project, home.id), part.name),
    };
    dispatch({ type: 'addPart', groupId: home.id, part: copy, index: siblings.indexOf(part) + 1 });
    onChoose({ kind: 'part', id: copy.id });
  };
  const mirror = () => {
    const sides = sidesOf(part, home, project.unit);
    const { commands, image, each, isHalved } = mirrorPart(
      part,
      home.id,
      namesIn(project, home.id),
      siblings.indexOf(part) + 1,
      newId(),
      { width: sides.ok ? sides.value.width : 0, unit: project.unit },
    );
    dispatch(commands, `mirror ${part.name}`);
    onChoose({ kind: 'part', id: image.id });
    if (isHalved)
      notify({
        text: `${each} left and ${each} right: ${2 * each} in all, as before.`,
        action: { label: 'Undo', run: undo },
      });
  };
  const remove = () => {
    dispatch({ type: 'removePart', partId });
    onClose();
    notify({ text: `${part.name} is deleted.`, action: { label: 'Undo', run: undo } });
  };
  return (
    <Detail
      title={letter ? `${letter} · ${part.name}` : part.name}
      onClose={onClose}
      foot={
        <EditFoot onRemove={remove} onDone={onClose}>
          <Button icon="copy" onPress={duplicate}>
            Duplicate
          </Button>
          {part.kind === 'hardware' ? null : <Button onPress={mirror}>Mirror</Button>}
        </EditFoot>
      }
    >
      <ReadField label="Name" text={part.name} read={readName} onRead={(name) => edit({ name })} />
      <ReadField
        label="How many"
        text={part.formulas?.quantity ?? String(part.quantity)}
        read={countReader(project, home.id, part.formulas?.quantity === undefined ? 1 : 0)}
        onRead={({ value, formula }) =>
          edit({ quantity: value, formulas: withFormula(part, 'quantity', formula) })
        }
        help={part.formulas?.quantity === undefined ? null : `= ${part.quantity}`}
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
          <SizeFields part={part} project={project} groupId={home.id} edit={edit} />
          <MaterialField
            label="Materials, the best liked first"
            materials={part.materials}
            book={book}
            currency={project.currency}
            kind={part.kind}
            blank={
              home.materials.length > 0 ? `Blank: as the group, ${home.materials.join(' or ')}` : 'Blank: any'
            }
            onChange={(materials) => edit({ materials })}
          />
          <ShapeFields part={part} project={project} groupId={home.id} edit={edit} />
          <MeasuredFields part={part} project={project} groupId={home.id} edit={edit} />
          <Choice
            label="What shows of it"
            value={part.shows ?? 'all'}
            options={SHOWN}
            onChange={(shows) => edit({ shows })}
          />
        </>
      )}
      {project.groups.length > 1 ? (
        <Choice
          label="Group"
          value={home.id}
          options={project.groups.map((group: Group) => ({ value: group.id, label: group.name }))}
          onChange={(groupId) =>
            dispatch({
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
          <Text tone="bad">{problem.sentence}</Text>
        </View>
      ) : null}
    </Detail>
  );
};

/** What is wrong with a part and not said beside a field of its own, as what is wrong with its shape. */
const problemOf = (part: Part, project: Project) =>
  resolve(project).problems.find(
    ({ partId, code }) => partId === part.id && (code !== 'shape' || part.measured !== undefined),
  );

/** What a change of kind takes along: fields that mean nothing for the new kind are blank again. */
const kindFields = (kind: Kind): Partial<Part> => ({
  kind,
  section: '',
  ...(kind === 'board' ? {} : { ends: 'square' }),
  ...(kind === 'sheet' ? {} : { width: null, grain: 'any' as const }),
  ...(kind === 'hardware' ? { length: null, shape: undefined } : {}),
});

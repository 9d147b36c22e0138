import {
  apply,
  applyToBook,
  chosenOption,
  copyOption,
  emptyBook,
  redo,
  emptyHistory,
  remember,
  resolve,
  undo,
  withChanges,
  type Project,
  type ProjectChange,
} from '.';
import { materialOf } from '../lumber';
import { fromCsv } from '../testing';

const { project } = fromCsv({
  parts: 'part,qty,section,length,group\nPost,4,2x4,30,Frame\nRail,2,2x4,40,Frame\nSlat,9,1x4,40,Top',
  prices: 'store,section,length,price,material\nYard,2x4,8ft,4,stud',
});
const [frame, top] = project.groups;
const changes: ProjectChange[] = [
  { type: 'editGroup', groupId: frame?.id ?? '', fields: { materials: ['treated'] } },
  { type: 'editSettings', fields: { spare: { stud: 0.1 } } },
  { type: 'editGroup', groupId: top?.id ?? '', fields: { isLater: true } },
];

test('several changes are one step, taken back and made again as one', () => {
  const applied = apply(project, { type: 'choose', name: 'All treated', changes }, 0);
  expect(applied?.change.label).toBe('choose All treated');
  const made = applied?.document as Project;
  expect(made).toEqual(withChanges(project, changes));
  expect(made.groups[0]?.materials).toEqual(['treated']);
  const history = remember(emptyHistory(), applied?.change as NonNullable<typeof applied>['change']);
  const back = undo(made, history);
  expect(back?.document).toEqual(project);
  expect(redo(project, (back as NonNullable<typeof back>).history)?.document).toEqual(made);
});

test('changes that change nothing, or things that are gone, leave the project as it is', () => {
  expect(withChanges(project, [])).toBe(project);
  expect(withChanges(project, [{ type: 'editGroup', groupId: 'gone', fields: { materials: ['x'] } }])).toBe(
    project,
  );
  expect(withChanges(project, [{ type: 'chooseOption', groupId: frame?.id ?? '', optionId: 'gone' }])).toBe(
    project,
  );
});

test('a group left for another time is not made, nor is what covers it', () => {
  const made = withChanges(project, changes);
  expect(resolve(project).parts.map(({ name }) => name)).toEqual(['Post', 'Rail', 'Slat']);
  expect(resolve(made).parts.map(({ name }) => name)).toEqual(['Post', 'Rail']);
  const finish: ProjectChange = {
    type: 'addExtra',
    extra: {
      id: 'f',
      name: 'Finish',
      item: '',
      rule: 'finish',
      groupId: top?.id ?? '',
      amount: '',
      faces: 'all',
      coats: 1,
      covers: '60 ft2',
      note: '',
    },
  };
  expect(resolve(withChanges(made, [finish])).parts.some(({ id }) => id === 'f')).toBe(false);
  expect(resolve(withChanges(project, [finish])).parts.some(({ id }) => id === 'f')).toBe(true);
});

test('another way to make a group: a copy with ids of its own, whose joints are its own parts’', () => {
  const option = chosenOption(frame as Project['groups'][number]);
  if (!option) throw new Error('no option');
  const [post, rail] = option.parts;
  const joined = {
    ...option,
    joints: [
      {
        id: 'j',
        name: '',
        how: 'through',
        first: post?.id ?? '',
        second: rail?.id ?? '',
        through: 'thickness',
        into: 'thickness',
        quantity: 4,
        each: 2,
        item: '',
      },
    ],
  } as typeof option;
  const copy = copyOption(joined, 'Other', (id) => `${id}'`);
  const ids = new Set(copy.parts.map(({ id }) => id));
  expect(copy.joints?.every(({ first, second }) => ids.has(first) && ids.has(second))).toBe(true);
  const put: ProjectChange[] = [
    { type: 'putOption', groupId: frame?.id ?? '', option: copy },
    { type: 'chooseOption', groupId: frame?.id ?? '', optionId: copy.id },
    { type: 'editPart', partId: copy.parts[0]?.id ?? '', fields: { quantity: 6 } },
  ];
  const made = withChanges(project, put);
  const group = made.groups[0] as Project['groups'][number];
  expect(group.options).toHaveLength(2);
  expect(chosenOption(group)?.parts[0]?.quantity).toBe(6);
  // Neither the first way nor the change itself became another.
  expect(group.options[0]?.parts[0]?.quantity).toBe(4);
  expect(copy.parts[0]?.quantity).toBe(4);
  // The chosen way is not deleted, the other is.
  const remove = (optionId: string) => apply(made, { type: 'removeOption', groupId: group.id, optionId }, 0);
  expect(remove(copy.id)).toBeNull();
  expect(remove(option.id)?.document.groups[0]?.options).toHaveLength(1);
});

test('what the user says of a material decides the steel that its joints want', () => {
  const own = { 'brown lumber': { ...materialOf('treated'), name: 'brown lumber' } };
  const option = chosenOption(frame as Project['groups'][number]);
  const joint = {
    id: 'j',
    name: 'Rail to post',
    how: 'through',
    first: option?.parts[1]?.id ?? '',
    second: option?.parts[0]?.id ?? '',
    through: 'thickness',
    into: 'thickness',
    quantity: 4,
    each: 2,
    item: '',
  } as const;
  const brown = apply(
    withChanges(project, [
      { type: 'editGroup', groupId: frame?.id ?? '', fields: { materials: ['Brown lumber'] } },
    ]),
    { type: 'addJoint', groupId: frame?.id ?? '', joint },
    0,
  )?.document as Project;
  const items = (of: ReturnType<typeof resolve>) =>
    of.parts.filter(({ id }) => id === 'j').map(({ item }) => item);
  expect(items(resolve(brown))).toEqual(['wood screw 2 1/2 in']);
  expect(items(resolve(brown, own))).toEqual(['coated deck screw 2 1/2 in']);
});

test('the book keeps what is said of a material by its name, however that is written', () => {
  const put = applyToBook(
    emptyBook(),
    { type: 'putMaterial', material: { ...materialOf('cedar'), name: 'Old  Cedar' } },
    0,
  )?.document;
  expect(Object.keys(put?.materials ?? {})).toEqual(['old cedar']);
  expect(
    applyToBook(put ?? emptyBook(), { type: 'removeMaterial', name: 'OLD cedar' }, 0)?.document.materials,
  ).toEqual({});
});

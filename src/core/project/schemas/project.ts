import { Type } from '@sinclair/typebox';
import type { TreatedNearFood } from '../../lumber';
import { material } from '../../lumber/materialSchema';
import {
  DAY,
  CURRENCY,
  COUNT,
  FLAG,
  ID,
  NAME,
  NOTE,
  SHARE,
  TEXT,
  YES,
  list,
  literal,
  number,
  object,
  oneOf,
  optional,
  orNull,
  record,
  refer,
  some,
  someFields,
  text,
} from '../../schemaKinds';
import { price, rackEntry, readyMade, store, tool } from './book';
import { extra, group, item, joint, option, part, shaping, variable } from './parts';
import { baseline, budget, charge, purchase, purchaseLine, returned } from './purchases';
import { boardMark, measuredBoard, sawnBoard, sawnPiece } from './sawing';
import { FORMS, MEASURE, MONEY, category } from './scalars';

/** What decides how wood is cut and money reckoned; names as in settings.json. */
export const settings = object({
  /** Share added to goods. */
  tax: SHARE,
  /** Prices hold the tax already. */
  taxIncluded: FLAG,
  kerf: MEASURE,
  endTrim: MEASURE,
  sheetTrim: MEASURE,
  shortOk: MEASURE,
  /** What there is to cut with; absent: a mitre saw. `table-saw` allows ripping. */
  tools: optional(list(text(100), { maxItems: 100 })),
  /** The longer and the shorter side of what goes in the car; absent or null: anything does. */
  maxCarryLength: optional(orNull(MEASURE)),
  maxCarryWidth: optional(orNull(MEASURE)),
  /** Of sheets alone; absent or null: the two limits hold for them too. */
  maxCarrySheet: optional(orNull(object({ length: MEASURE, width: MEASURE }))),
  /** Extra boards against defects, by material: the share of the boards bought. */
  spare: optional(record(number(0, 10))),
});

const DISTANCE = number(0, 100_000);

/** What building takes beside what is bought. */
export const work = object(
  {
    /** For all that is built, or for each; null: not told. */
    hours: orNull(number(0, 100_000)),
    isHoursEach: optional(FLAG, 'The hours are for each that is built, however many.'),
    /** Of an hour; null: hours are not counted as a cost. */
    rate: orNull(MONEY),
    /** What is spent on it beside the ledger, and not told below. */
    beside: orNull(MONEY),
    /** Tools that the ledger does not hold. */
    tools: optional(
      list(object({ id: ID, name: NAME, price: MONEY, charge: refer('charge', charge) }), { maxItems: 100 }),
    ),
    /** The way there and back for all of it, and what a mile or kilometre costs. */
    travel: optional(object({ distance: DISTANCE, unit: oneOf('mi', 'km'), rate: MONEY })),
    power: optional(object({ kilowattHours: number(0, 100_000), rate: MONEY })),
    /** Share of an asking price that is gain. */
    margin: optional(number(0, 0.95)),
    /** Share by which an asking price is to lie below ready made. */
    below: optional(SHARE),
    /** What someone offers for one. */
    offer: optional(orNull(MONEY)),
  },
  'Hours of building, what one is worth, and what is spent beside the till.',
);

/** What an alternative may change of a project itself. */
const projectFields = {
  name: NAME,
  note: NOTE,
  unit: oneOf('in', 'mm'),
  currency: CURRENCY,
  /** How many of it are built. */
  builds: COUNT,
  target: orNull(MONEY),
  settings: refer('settings', settings),
  /** Share of fasteners bought over what joints need; absent: FASTENER_SPARE. */
  fastenerSpare: optional(SHARE),
  treatedNearFood: optional(
    oneOf<TreatedNearFood>('avoid', 'liner'),
    'Which of the two schools holds for treated wood near food; absent: avoid.',
  ),
  leavesRack: optional(FLAG, 'What is on the rack is left for other projects; absent: it is used.'),
  per: optional(
    orNull(object({ name: NAME, of: oneOf('number', 'length', 'area', 'volume'), formula: TEXT })),
    'What its cost is divided by, as one of it has it: 6 seats, the area of its bed. A formula over its measures.',
  ),
  readyMade: optional(list(refer('readyMade', readyMade), { maxItems: 100 })),
  work: optional(refer('work', work)),
};

/** The changes to a project that an alternative may be made of; each holds whatever else becomes of the project. */
export const change = Type.Union(
  [
    object({ type: literal('editProject'), fields: someFields(object(projectFields)) }),
    object({
      type: literal('editGroup'),
      groupId: ID,
      fields: some(group, ['name', 'exposure', 'materials', 'copies', 'nearFood', 'isLater']),
    }),
    object({ type: literal('editPart'), partId: ID, fields: someFields(part) }),
    object({ type: literal('editVariable'), variableId: ID, fields: someFields(variable) }),
    /** Some settings; the others stay. */
    object({ type: literal('editSettings'), fields: someFields(settings) }),
    /** Another way to make a group; one of its id takes its place. */
    object({ type: literal('putOption'), groupId: ID, option: refer('option', option) }),
    object({ type: literal('chooseOption'), groupId: ID, optionId: ID }),
    object({ type: literal('addExtra'), extra: refer('extra', extra) }),
    object({ type: literal('removeExtra'), extraId: ID }),
    object({ type: literal('excludeStore'), storeId: ID, excluded: FLAG }),
  ],
  { description: "One change of an alternative; as the app's own commands." },
);

/** Another way to do a project: changes to it that were not made, under one name. */
export const alternative = object(
  { id: ID, name: NAME, changes: list(refer('change', change), { maxItems: 1000 }) },
  'Another way to do the project: changes that were not made.',
);

/** A way that was chosen: when, what it and what it took the place of came to then, and the changes that lead back. */
export const decision = object(
  {
    id: ID,
    name: NAME,
    day: DAY,
    /** What the whole came to on that day, before and with it; null: not known. */
    before: orNull(MONEY),
    after: orNull(MONEY),
    /** Null: it cannot be said as changes. */
    back: orNull(list(refer('change', change), { maxItems: 1000 })),
  },
  'A way that was chosen, with what it took the place of.',
);

/** A project, as files hold it. */
export const project = object({
  id: ID,
  ...projectFields,
  groups: list(refer('group', group)),
  /** Ids of stores that this project does not use. */
  excludedStores: list(ID),
  /** Files of before there were any have none. */
  variables: optional(list(refer('variable', variable))),
  /** Files of before there were any have none. */
  extras: optional(list(refer('extra', extra))),
  alternatives: optional(
    list(refer('alternative', alternative), { maxItems: 12 }),
    'The columns of its comparison; absent: those that Billet proposes.',
  ),
  decisions: optional(
    list(refer('decision', decision), { maxItems: 50 }),
    'The ways that were chosen, in their order.',
  ),
  budget: optional(refer('budget', budget)),
  baseline: optional(refer('baseline', baseline)),
  dismissed: optional(
    list(text(300), { maxItems: 1000 }),
    'What is often forgotten, and is not wanted here: ids.',
  ),
  measuredBoards: optional(
    list(refer('measuredBoard', measuredBoard), { maxItems: 1000 }),
    'Boards that are there, as they were measured before they are cut.',
  ),
  assembly: optional(
    object({ order: list(ID, { maxItems: 1000 }), done: list(ID, { maxItems: 1000 }) }),
    'In which order its groups are put together, and which of them are; by id.',
  ),
  sawnBoards: optional(
    list(refer('sawnBoard', sawnBoard), { maxItems: 5000 }),
    'Boards and sheets on which sawing has begun.',
  ),
  isSample: optional(
    YES,
    'It came with Billet, to look at: it buys at stores that are samples, and nothing else does.',
  ),
});

/** What a `*.billet.json` file holds. */
export const projectFile = object({
  format: literal('billet-project'),
  version: literal(1),
  project: refer('project', project),
  stores: list(refer('store', store)),
  prices: list(refer('price', price)),
  purchases: list(refer('purchase', purchase)),
  materials: optional(
    list(refer('material', material)),
    'What the user says of the materials it uses; absent: nothing.',
  ),
});

/** The project file's schema, with all that it is made of. */
export const projectSchema = {
  $schema: 'http://json-schema.org/draft-07/schema#',
  $id: 'billet-project',
  title: 'A Billet project file, *.billet.json',
  description:
    "One project, complete in itself, with the stores and prices it uses. Lengths are millimetres, money the currency's main unit.",
  ...projectFile,
  $defs: {
    ...FORMS,
    category,
    part,
    shaping,
    joint,
    option,
    group,
    settings,
    project,
    item,
    purchaseLine,
    purchase,
    returned,
    charge,
    budget,
    baseline,
    boardMark,
    measuredBoard,
    sawnPiece,
    sawnBoard,
    store,
    price,
    rackEntry,
    tool,
    extra,
    variable,
    material,
    readyMade,
    work,
    change,
    alternative,
    decision,
  },
};

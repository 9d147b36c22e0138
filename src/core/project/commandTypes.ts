import type { Extra, Group, Joint, Option, Part, Project, Purchase, Variable } from './types';

type ProjectFields = Pick<
  Project,
  'name' | 'note' | 'unit' | 'currency' | 'builds' | 'target' | 'settings' | 'fastenerSpare'
>;

/** Every way in which a project changes. Plain objects; new ids are made by whoever sends one. */
export type Command =
  | { type: 'editProject'; fields: Partial<ProjectFields> }
  | { type: 'addGroup'; group: Group }
  | {
      type: 'editGroup';
      groupId: string;
      fields: Partial<Pick<Group, 'name' | 'exposure' | 'materials' | 'copies'>>;
    }
  | { type: 'removeGroup'; groupId: string }
  | { type: 'addPart'; groupId: string; part: Part; index?: number }
  | { type: 'editPart'; partId: string; fields: Partial<Omit<Part, 'id'>> }
  | { type: 'removePart'; partId: string }
  | { type: 'movePart'; partId: string; groupId: string; index: number }
  | { type: 'addParts'; groupId: string; parts: Part[] }
  | { type: 'importParts'; groups: Group[] }
  | { type: 'addVariable'; variable: Variable }
  /** A new name goes into every formula. */
  | { type: 'editVariable'; variableId: string; fields: Partial<Omit<Variable, 'id'>> }
  /** Its value takes its place in every formula. */
  | { type: 'removeVariable'; variableId: string }
  | { type: 'addJoint'; groupId: string; joint: Joint }
  | { type: 'editJoint'; jointId: string; fields: Partial<Omit<Joint, 'id'>> }
  | { type: 'removeJoint'; jointId: string }
  | { type: 'addExtra'; extra: Extra }
  | { type: 'editExtra'; extraId: string; fields: Partial<Omit<Extra, 'id'>> }
  | { type: 'removeExtra'; extraId: string }
  /** What a helper made: a new group with its measures and extras. */
  | { type: 'addMade'; group: Group; variables: Variable[]; extras: Extra[] }
  /** What a helper made anew, in place of what it had made of the option before. */
  | { type: 'remake'; groupId: string; option: Option; variables: Variable[]; extras: Extra[] }
  | { type: 'excludeStore'; storeId: string; excluded: boolean }
  /** A purchase of an id that is there already takes its place. */
  | { type: 'recordPurchase'; purchase: Purchase }
  | { type: 'removePurchase'; purchaseId: string };

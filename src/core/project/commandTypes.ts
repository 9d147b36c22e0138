import type {
  Alternative,
  Baseline,
  Extra,
  Group,
  Joint,
  Option,
  Part,
  Project,
  ProjectChange,
  Purchase,
  Variable,
} from './types';

/** Every way in which a project changes. Plain objects; new ids are made by whoever sends one. */
export type Command =
  | ProjectChange
  | { type: 'addGroup'; group: Group }
  | { type: 'removeGroup'; groupId: string }
  | { type: 'addPart'; groupId: string; part: Part; index?: number }
  | { type: 'removePart'; partId: string }
  | { type: 'movePart'; partId: string; groupId: string; index: number }
  | { type: 'addParts'; groupId: string; parts: Part[] }
  | { type: 'importParts'; groups: Group[] }
  | { type: 'addVariable'; variable: Variable }
  /** Its value takes its place in every formula. */
  | { type: 'removeVariable'; variableId: string }
  | { type: 'addJoint'; groupId: string; joint: Joint }
  | { type: 'editJoint'; jointId: string; fields: Partial<Omit<Joint, 'id'>> }
  | { type: 'removeJoint'; jointId: string }
  | { type: 'editExtra'; extraId: string; fields: Partial<Omit<Extra, 'id'>> }
  /** What a helper made: a new group with its measures and extras. */
  | { type: 'addMade'; group: Group; variables: Variable[]; extras: Extra[] }
  /** What a helper made anew, in place of what it had made of the option before. */
  | { type: 'remake'; groupId: string; option: Option; variables: Variable[]; extras: Extra[] }
  | { type: 'renameOption'; groupId: string; optionId: string; name: string }
  /** The chosen one is not removed. */
  | { type: 'removeOption'; groupId: string; optionId: string }
  /** Null: those that Billet proposes. */
  | { type: 'setAlternatives'; alternatives: Alternative[] | null }
  /** Several changes as one step, under one name: an alternative that is chosen, a way to save that is taken. */
  | { type: 'choose'; name: string; changes: ProjectChange[] }
  /** How the target is meant, what paid is held against, what is not asked for again. */
  | { type: 'editMoney'; fields: Partial<Pick<Project, 'target' | 'budget' | 'baseline' | 'dismissed'>> }
  /** A purchase of an id that is there already takes its place. `baseline` is kept where there is none. */
  | { type: 'recordPurchase'; purchase: Purchase; baseline?: Baseline }
  /** Several at once, as a file brings them. */
  | { type: 'recordPurchases'; purchases: Purchase[] }
  | { type: 'removePurchase'; purchaseId: string };

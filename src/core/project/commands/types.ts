import type {
  Alternative,
  Baseline,
  Budget,
  Charges,
  Decision,
  Extra,
  Group,
  Joint,
  MeasuredBoard,
  Minor,
  Option,
  Part,
  ProjectChange,
  Purchase,
  PurchaseLine,
  ReadyMade,
  Receipt,
  SawnBoard,
  Ticks,
  Variable,
  Work,
} from './imports';

/** Groups and what stands in them. */
export type GroupCommand =
  | Extract<ProjectChange, { type: 'editGroup' | 'editPart' }>
  | { type: 'addGroup'; group: Group }
  | { type: 'removeGroup'; groupId: string }
  | { type: 'addPart'; groupId: string; part: Part; index?: number }
  | { type: 'removePart'; partId: string }
  | { type: 'movePart'; partId: string; groupId: string; index: number }
  | { type: 'addParts'; groupId: string; parts: Part[] }
  | { type: 'importParts'; groups: Group[] }
  | { type: 'addJoint'; groupId: string; joint: Joint }
  | { type: 'editJoint'; jointId: string; fields: Partial<Omit<Joint, 'id'>> }
  | { type: 'removeJoint'; jointId: string };

/** Ways to make a group. */
export type OptionCommand =
  | Extract<ProjectChange, { type: 'putOption' | 'chooseOption' }>
  | { type: 'renameOption'; groupId: string; optionId: string; name: string }
  /** The chosen one is not removed. */
  | { type: 'removeOption'; groupId: string; optionId: string }
  /** What a helper made: a new group with its measures and extras. */
  | { type: 'addMade'; group: Group; variables: Variable[]; extras: Extra[] }
  /** What a helper made anew, in place of what it had made of the option before. */
  | { type: 'remake'; groupId: string; option: Option; variables: Variable[]; extras: Extra[] };

/** The project as a whole, its measures, and what is not cut. */
export type DetailCommand =
  | Extract<
      ProjectChange,
      { type: 'editProject' | 'editVariable' | 'editSettings' | 'addExtra' | 'removeExtra' | 'excludeStore' }
    >
  | { type: 'addVariable'; variable: Variable }
  /** Its value takes its place in every formula. */
  | { type: 'removeVariable'; variableId: string }
  | { type: 'editExtra'; extraId: string; fields: Partial<Omit<Extra, 'id'>> };

/** What is compared with what. */
export type CompareCommand =
  /** `proposed`: the columns that Billet proposes now; they are kept where none were picked before. `most`: no more than so many. */
  | { type: 'addAlternative'; alternative: Alternative; proposed: Alternative[]; most: number }
  | { type: 'removeAlternative'; alternativeId: string; proposed: Alternative[] }
  /** Back to those that Billet proposes. */
  | { type: 'resetAlternatives' }
  /** Several changes under one name: an alternative that is chosen, a way to save that is taken; `decision`: what is kept of that. */
  | { type: 'choose'; name: string; changes: ProjectChange[]; decision?: Decision }
  | { type: 'addReadyMade'; seen: ReadyMade }
  | { type: 'removeReadyMade'; seenId: string }
  | { type: 'editWork'; fields: Partial<Work> };

/** Target and ledger. */
export type MoneyCommand =
  | { type: 'editTarget'; target: Minor | null; budget: Budget | undefined }
  /** The plan as it stands, that what is paid is held against. */
  | { type: 'keepBaseline'; baseline: Baseline }
  /** A reminder of what is often forgotten, not wanted here. */
  | { type: 'dismissReminder'; reminderId: string }
  /**
   * Lines into the open cart of a store; `cart` is the one that is opened where there is none. `charges`: what going there
   * comes to, recorded once. `baseline` is kept where there is none.
   */
  | {
      type: 'addToCart';
      cart: Pick<Purchase, 'id' | 'date' | 'storeId' | 'store'>;
      lines: PurchaseLine[];
      charges: Charges;
      baseline?: Baseline;
    }
  /** What lay in the cart is paid. */
  | { type: 'payCart'; purchaseId: string; receipt?: Receipt }
  /** A purchase of an id that is there already takes its place. */
  | { type: 'recordPurchase'; purchase: Purchase; charges: Charges; baseline?: Baseline }
  /** Several at once, as a file brings them. */
  | { type: 'recordPurchases'; entries: { purchase: Purchase; charges: Charges }[] }
  | { type: 'removePurchase'; purchaseId: string }
  /** One line that equals `line` goes, wherever it stands now; the last one takes its purchase with it. */
  | { type: 'removeLine'; purchaseId: string; line: PurchaseLine }
  /** Other lines in place of one that equals `line`. */
  | { type: 'replaceLine'; purchaseId: string; line: PurchaseLine; by: PurchaseLine[] }
  /** Null takes a field away. */
  | {
      type: 'editPurchase';
      purchaseId: string;
      fields: { receipt?: Receipt | null; trip?: Minor; shipping?: Minor | null };
    };

/** The boards that are there, and what is sawn of them. A board of an id that is there already takes its place. */
export type SawCommand =
  | { type: 'measureBoard'; board: MeasuredBoard }
  /** It counts again as what it was bought as. */
  | { type: 'forgetBoard'; boardId: string }
  | { type: 'sawBoard'; board: SawnBoard }
  | { type: 'unsawBoard'; boardId: string }
  /** A piece, by its place among those of the board, was cut wrong; `left`: what of its length is of use. */
  | { type: 'spoilPiece'; boardId: string; piece: number; left: Ticks }
  | { type: 'unsawAll' }
  /** The groups in the order in which they are put together. */
  | { type: 'orderAssembly'; order: string[] }
  | { type: 'assembleGroup'; groupId: string; isDone: boolean };

/** Every way in which a project changes: what is meant, not what comes of it. New ids are made by whoever sends one. */
export type Command =
  GroupCommand | OptionCommand | DetailCommand | CompareCommand | MoneyCommand | SawCommand;

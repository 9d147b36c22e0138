import type { Ticks } from '../units';
import type { Exposure, JointKind, Shows } from '../project';

/** One thing a helper asks, in the words of who builds. */
export interface Ask {
  key: string;
  label: string;
  /** `length` and `count` may be formulas; `sheet` is a trade thickness. */
  kind: 'length' | 'count' | 'section' | 'sheet' | 'choice';
  /** What it starts from, by the unit of the project. */
  usual: { in: string; mm: string };
  help?: string;
  choices?: readonly { value: string; label: string }[];
  /** Whether no answer is one: `none`. */
  blank?: string;
  /** Asked only when another answer is so. */
  when?: { key: string; is: string };
}

/** A part that a helper makes; lengths and quantities are formulas. Its role is the identifier of its name. */
export interface MadePart {
  name: string;
  quantity: string;
  section: string;
  length: string;
  /** Given for sheets. */
  width?: string;
  ends?: string;
  /** A formula for the angle of the ends. */
  angle?: string;
  grain?: 'length';
  shows?: Shows;
  note?: string;
}

/** So many joints of two of its parts, named by role. */
export interface MadeJoint {
  how: JointKind;
  first: string;
  second: string;
  through?: 'thickness' | 'width';
  into?: 'thickness' | 'width' | 'end';
  quantity: string;
  each?: number;
}

/** Hardware that is counted, or what covers and fills. */
export interface MadeExtra {
  name: string;
  rule: 'area' | 'volume' | 'count' | 'glue';
  amount: string;
  covers: { in: string; mm: string };
}

/** What a helper makes: parts, joints, extras and measures that belong together. */
export interface Made {
  parts: MadePart[];
  joints: MadeJoint[];
  extras?: MadeExtra[];
  /** Measures that follow from those asked for and that a builder wants to know: the even gap. */
  follows?: { key: string; formula: string; kind?: 'number' }[];
  exposure?: Exposure;
}

/** What was answered, for `make`: names of measures to write into formulas, and words. */
export interface Answers {
  /** The name of the measure that holds the answer, to stand in a formula; also of one that follows. */
  measure: (key: string) => string;
  text: (key: string) => string;
  /** Whether there is an answer at all. */
  has: (key: string) => boolean;
}

/** What it all comes to, for drawings and notes: ticks and counts. What is not there is nothing. */
export interface Sizes {
  measure: (key: string) => number;
  text: (key: string) => string;
  part: (role: string) => { length: Ticks; width: Ticks; thickness: Ticks; count: number };
}

/** A corner of a drawn shape, in ticks from the lower left. */
export type Corner = [x: Ticks, y: Ticks];

/** A part as it is seen from one side. Corners in ticks, y upwards. */
export interface Shape {
  role: string;
  corners: Corner[];
  /** What lies behind is drawn first and paler. */
  behind?: boolean;
}

/** A measure drawn beside the shapes: from corner to corner, `side` says on which side of them. */
export interface Dimension {
  from: Corner;
  to: Corner;
  ticks: Ticks;
  side: 'below' | 'left' | 'right' | 'above';
}

/** One drawing of what is made, from a side. */
export interface View {
  title: string;
  shapes: Shape[];
  dimensions: Dimension[];
}

/** A row that must come out even: its pieces and gaps together, the span they fill, and the largest gap wanted. */
export interface Row {
  name: string;
  total: Ticks;
  span: Ticks;
  gap: Ticks | null;
  largestGap: Ticks | null;
}

/** Makes parts from the few measures that a builder has in mind. */
export interface Helper {
  id: string;
  title: string;
  /** One line: what it is for. */
  about: string;
  asks: Ask[];
  make: (answers: Answers) => Made;
  draw: (sizes: Sizes) => View[];
  /** What a builder should know of what comes out; lengths by `say`. */
  notes?: (sizes: Sizes, say: (ticks: Ticks) => string) => string[];
  rows?: (sizes: Sizes) => Row[];
  /** What it makes has square corners on its broadest side, which its drawing shows: both diagonals are alike. */
  isSquare?: true;
}

import type { Material } from './materials';
import type { Panel } from './speciesTypes';

/** What to look for at the rack, one sentence each; all common practice. */
const CROWN = 'Crown: sight along the edge; lay the bow up, or leave the board.';
const TWIST = 'Twist: lay it flat; a board that rocks on two corners stays that way.';
const WANE = 'Wane: look for missing corners and bark where the full section is needed.';
const KNOTS = 'Knots: small and tight ones are sound; a loose one at an edge breaks there.';
const MOISTURE = 'Moisture: a heavy, cold board is wet, and shrinks and bends as it dries.';
const STAPLES = 'Staples: pull tags and staples before the saw and the planer.';
const MEASURE = 'Measure the length: most run a little over, some do not.';
const SHEET_CORNERS = 'Corners: a crushed corner costs a cut; look at all four.';
const SHEET_FACE = 'Face: look along it for voids, patches and lifting veneer.';
const BOARD_FACE = 'Face: look for dents, chips and swollen edges.';
const SHEET_FLAT = 'Flat: stand it on edge and look for a bow.';
const PICKET_THICKNESS = 'Thickness: cheap pickets differ; take those that match.';

/** Whether a panel is of fibres or strands, without veneer and grain. */
export const isFibreboard = (panel: Panel | null): boolean => panel?.endsWith('board') ?? false;

/** Notes for choosing the boards or sheets of a material, the most telling first. */
export const choosingNotes = ({ panel, treatment, grade, name }: Material): string[] => {
  if (panel) return [isFibreboard(panel) ? BOARD_FACE : SHEET_FACE, SHEET_CORNERS, SHEET_FLAT];
  const first = treatment !== '' ? [MOISTURE, STAPLES] : grade === 'stud' ? [WANE, TWIST] : [TWIST];
  const picket = /picket/i.test(name) ? [PICKET_THICKNESS] : [];
  return [...new Set([...first, ...picket, CROWN, KNOTS, WANE, TWIST, MOISTURE, MEASURE, STAPLES])];
};

export { boardsToSaw, leftBy, piecesFree, sawnKey, type SawBoard } from './boards';
export { checkedSequence, sawFaults } from './checked';
export { sequenceOf } from './sequence';
export { countSetups } from './setups';
export { drawingsToSaw, setupsOf, type SawDrawing, type SetupUse } from './sheet';
export { hazardsOf, SAW_HAZARDS, type SawHazard } from './hazards';
export { labelsOf, type PieceLabel } from './labels';
export { sawnBoardOf } from './record';
export { boardThere, lostRecords, progressOf, type BoardThere } from './progress';

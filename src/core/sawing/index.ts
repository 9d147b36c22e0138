export { boardsToSaw, leftBy, piecesFree, type SawBoard } from './boards';
export { sequenceOf, type Sawn } from './sequence';
export { sawFaults } from './sawFaults';
export { countSetups, setupKey } from './setups';

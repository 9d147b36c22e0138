export { assemble, type Basket } from './assemble';
export { basketFrom, cheapestBasket, isBroughtHome, isCarried, planOf } from './firstBasket';
export { lowerBound } from './bound';
export { drawBoard } from './drawBoard';
export { drawPanel } from './drawPanel';
export { spareShares } from './spares';
export { largestRemainder } from './largestRemainder';

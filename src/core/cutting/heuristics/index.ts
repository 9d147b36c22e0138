export { assemble, paidAt, type Basket } from './assemble';
export { basketFrom, cheapestBasket, isCarried, planOf } from './firstBasket';
export { lowerBound } from './bound';
export { drawBoard } from './drawBoard';
export { drawPanel } from './drawPanel';
export { largestRemainder } from './largestRemainder';

export * from './types';
export { blankLength, shapeOf, type Blank } from './shapeOf';
export { areaOf, edgeOf, flatten } from './geometry';

export { canRipWith, stripWidth, TABLE_SAW, USUAL_TOOLS } from '../cutting/model';

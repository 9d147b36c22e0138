import { WIDE } from '../harness/browser';
import { lookAtEveryView } from './everyView';

lookAtEveryView('wide', WIDE, 'dark', [
  { width: 1920, height: 1080 },
  { width: 820, height: 1180 },
]);

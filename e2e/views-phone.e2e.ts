import { PHONE } from '../harness/browser';
import { lookAtEveryView } from './everyView';

lookAtEveryView('phone', PHONE, 'light', [{ width: 844, height: 390 }]);

export * from './Explained';
export * from './PurchaseForm';
export { type PurchaseAt } from './purchaseDraft';
export * from './WorkFields';
export * from './DrawnLayout';
export * from './Unpriced';
export * from './useKept';
export * from './useTries';
export * from './words';

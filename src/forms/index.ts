export * from './PurchaseForm';
export * from './WorkFields';

export * from './Explained';
export * from './PurchaseForm';
export * from './WorkFields';
export * from './DrawnLayout';

export * from './perPurchase';
export * from './offers';
export * from './compared';
export * from './needs';

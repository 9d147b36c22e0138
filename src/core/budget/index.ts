export * from './money';
export * from './inThePiece';
export * from './purchase';
export * from './rise';
export * from './ledger';
export * from './leftovers';

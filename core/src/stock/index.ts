export * from './piece';
export * from './correction';
export * from './promised';
export * from './checkPiece';
export * from './stockFile';

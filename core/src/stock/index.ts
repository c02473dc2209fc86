export * from './piece';
export * from './correction';
export * from './promised';
export * from './checksCompared';
export * from './checkPiece';
export * from './stockFile';

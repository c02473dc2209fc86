export * from './exact';
export * from './writtenNumber';
export * from './rounding';
export * from './arithmetic';
export * from './expression';
export * from './evaluate';
export * from './convert';
export * from './tex';

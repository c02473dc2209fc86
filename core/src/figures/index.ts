export * from './exact';
export * from './writtenNumber';
export * from './rounding';
export * from './arithmetic';

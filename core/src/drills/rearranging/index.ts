export * from './check';
export * from './formulas';
export * from './solve';

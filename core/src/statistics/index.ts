export * from './student';
export * from './summary';
export * from './line';
export * from './outliers';
export * from './agreement';

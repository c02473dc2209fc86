export * from './questions';
export * from './conventions';
export * from './steps';

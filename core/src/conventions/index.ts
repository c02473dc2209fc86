export * from './kinds';
export * from './questions';
export * from './conventions';
export * from './steps';
export * from './changes';
export * from './elsewhere';
export * from './cards';

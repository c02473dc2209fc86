export * from './materials';
export * from './boiling';
export * from './water';

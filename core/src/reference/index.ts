export * from './boiling';
export * from './water';

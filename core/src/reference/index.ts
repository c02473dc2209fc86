export * from './water';

export * from './evidence';

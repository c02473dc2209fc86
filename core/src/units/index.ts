export * from './units';

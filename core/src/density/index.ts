export * from './percentError';

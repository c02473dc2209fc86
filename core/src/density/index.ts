export * from './identify';
export * from './percentError';

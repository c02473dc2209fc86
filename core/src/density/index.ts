export * from './displacement';
export * from './percentError';
export * from './working';

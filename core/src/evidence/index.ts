export * from './aims';
export * from './evidence';

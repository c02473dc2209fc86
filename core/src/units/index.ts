export * from './units';
export * from './product';

export * from './investigation';
export * from './table';
export * from './advice';
export * from './outcome';
export * from './secondLook';

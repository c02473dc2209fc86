export * from './session';
export * from './bench';
export * from './figures';
export * from './show';
export * from './feed';
export * from './logbook';
export * from './classroom';
export * from './live';

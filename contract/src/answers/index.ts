export * from './session';
export * from './bench';
export * from './figures';
export * from './question';
export * from './feed';
export * from './logbook';
export * from './classroom';
export * from './live';

export * from './bench';
export * from './classroom';
export { isId } from './fields';
export * from './figures';
export * from './logbook';
export * from './question';
export * from './session';
export * from './materials';
export * from './stock';

export * from './problems';
export * from './paths';
export * from './requests';
export * from './answers';

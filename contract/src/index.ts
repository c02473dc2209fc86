export * from './problems';
export * from './investigationFile';
export * from './paths';
export * from './screens';
export * from './requests';
export * from './answers';
export * from './houseRules';
export * from './endpoints';

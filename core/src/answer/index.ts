export * from './cause';
export * from './digits';
export * from './unit';
export * from './judge';
export * from './mistakes';
export * from './workedAnswer';

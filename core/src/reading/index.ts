export * from './acceptance';
export * from './check';
export * from './lean';
export * from './makeSetting';
export * from './predictions';

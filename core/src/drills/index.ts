export * from './all';
export * from './elsewhere';
export * from './drill';
export * from './makeItem';
export * from './pages';
export * from './rearranging';
export * from './spotTheFault';

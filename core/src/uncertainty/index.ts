export * from './dual';
export * from './propagate';
export * from './report';

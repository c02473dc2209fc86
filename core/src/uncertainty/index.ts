export * from './dual';
export * from './propagate';
export * from './corners';
export * from './monteCarlo';
export * from './budget';
export * from './report';
export * from './term';
export * from './combine';

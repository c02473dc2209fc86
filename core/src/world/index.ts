export * from './world';

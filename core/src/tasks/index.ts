export * from './task';

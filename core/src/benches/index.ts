export * from './drawBenches';
export * from './rosterLines';

export * from './ink';
export * from './lens';
export * from './threeBeamBalance';
export * from './graduatedCylinder';
export * from './vernierCaliper';
export * from './micrometer';
export { LevelGauge, inWords as gaugeInWords, type Gauge } from './levelGauge';
export { ReadersMark } from './readersMark';

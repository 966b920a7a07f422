export * from './problem';
export type { Company } from './company';
export { sortOf } from './fillers';
export { pack } from './packing';
export { charge, counted, Meter, metered, used, type Remembered } from './meter';
export { PackingCache } from './packing-cache';
export { lowerBound } from './lower-bound';
export { solve, usualEffort, type Effort, type Progress } from './search';

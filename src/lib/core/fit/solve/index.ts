export * from './problem/problem';
export { stranger, type Company } from './problem/company';
export { sortOf } from './problem/fillers';
export { pack } from './packing/packing';
export { charge, counted, Meter, metered, used, type Remembered } from './counted/meter';
export { PackingCache } from './pages/packing-cache';
export { lowerBound } from './problem/lower-bound';
export { solve, usualEffort, type Effort, type Progress } from './run/search';

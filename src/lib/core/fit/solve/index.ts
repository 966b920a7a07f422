export * from './problem';
export { pack } from './packing';
export { PackingCache } from './pricing';
export { lowerBound, solve, type Effort, type Progress } from './search';

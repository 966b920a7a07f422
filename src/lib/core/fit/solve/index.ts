export * from './problem';
export { pack } from './packing';
export { PackingCache } from './pricing';
export { solve, type Effort, type Progress } from './search';

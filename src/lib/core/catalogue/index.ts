export * from './kinds';
export * from './starting-set';

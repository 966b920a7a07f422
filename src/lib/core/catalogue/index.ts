export * from './completed';
export * from './kinds';
export * from './starting-set';

export * from './load';
export * from './level';

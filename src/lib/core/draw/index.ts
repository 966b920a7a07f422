export * from './mark';
export * from './merge';

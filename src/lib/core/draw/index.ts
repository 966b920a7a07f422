export * from './mark';
export * from './merge';
export * from './stencil';

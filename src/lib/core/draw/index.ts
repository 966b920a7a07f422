export * from './field';
export * from './mark';
export * from './merge';
export * from './stencil';

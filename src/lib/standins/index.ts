export * from './band';
export * from './calendar';
export * from './printer';
export * from './state';

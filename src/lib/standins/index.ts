export * from './band';
export * from './calendar';
export * from './state';

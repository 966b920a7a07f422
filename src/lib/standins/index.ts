export * from './band';
export * from './bank';
export * from './calendar';
export * from './printer';
export * from './state';

export * from './month';
export * from './week-number';
export * from './names';
export * from './next';
export * from './weekly-set';

export * from './colours-on';
export * from './drawing';

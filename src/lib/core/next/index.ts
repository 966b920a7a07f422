export * from './kept';
export * from './proposal';
export * from './proposals';
export * from './rows';
export * from './undated';

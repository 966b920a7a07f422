export * from './kept';
export * from './proposals';
export * from './rows';
export * from './undated';

export * from './checks';
export * from './palette';
export * from './proposals';
export * from './theme';

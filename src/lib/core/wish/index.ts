export * from './wish';
export * from './members';

export * from './wish';

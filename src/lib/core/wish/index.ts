export * from './wish';
export * from './members';
export { sameContent } from './same-content';

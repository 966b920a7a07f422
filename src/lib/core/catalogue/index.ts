export * from './begin';
export * from './belongs';
export * from './completed';
export * from './kinds';
export * from './starting-set';
export { isMeant, kindsCalled, type Findable } from './search';

export * from './steps';
export { tickedBy, type Place, type TickStep } from './place';
export { strokesOf } from './series';
export { countingGuide, countsIn } from './guide';
export { sentenceOf, type CountedIn } from './sentences';
export { pageGuide, type PageGuide } from './page-guide';

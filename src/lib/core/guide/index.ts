export * from './steps';
export { tickedBy, type Place, type TickStep } from './place';
export { passesOf, type Pass } from './passes';
export { countingGuide, countsIn } from './guide';
export { sentenceOf, type CountedIn } from './sentences';
export { pageGuide, type PageGuide } from './page-guide';
export { strokesFrom } from './strokes-from';
export { tickStrips, type Tick, type TickStrips } from './strips';

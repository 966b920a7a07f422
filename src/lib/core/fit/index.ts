export * from './plan';
export * from './planner';
export * from './drawing';
export * from './what-if';
export * from './remedies';
export { choicesIn, formsOf, isFiller, kindOf, spansOf, settingOf, type Choice } from './choices';

export * from './plan';
export * from './planner';
export * from './drawing';
export { choicesIn, formsOf, isFiller, kindOf, spansOf, settingOf, type Choice } from './choices';

export type { Aim, Gap } from './plan/aims';
export * from './plan/plan';
export * from './planner';
export * from './along';
export { tooLarge } from './problem/divided';
export * from './advice/what-if';
export * from './advice/remedies';
export * from './advice/offers';
export * from './advice/shared-pages';
export * from './plan/summary';
export * from './choices/titles';
export { unreadIn, unreadOf, type Unread } from './choices/unread';
export * from './plan/hold';
export * from './advice/beside';
export * from './plan/month-changes';
export * from './compose/hand-placed';
export * from './compose/rooms';
export { PackingCache } from './solve';
export { pagesFor, partsOf, weeksOf, weeksShown } from './choices/parts';
export {
	formsOf,
	isAlone,
	mayFace,
	isFiller,
	kindOf,
	mayLieOver,
	spansOf,
	settingOf,
	type Choice
} from './choices/choices';
export { choicesIn } from './members/hosting';
export { cutsOf, usableSquares } from './choices/sheets';

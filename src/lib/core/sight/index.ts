export {
	checkPage,
	piecesOf,
	type CheckedPage,
	type Finding,
	type PartState
} from './check/check-page';
export type { Picture } from './picture/colour';
export { findingWords } from './check/finding-words';
export { greyOf, type Grey } from './picture/image';
export { measurePage, type MeasuredPage, type NotMeasured } from './measure/measure-page';
export type { Piece } from './check/pieces';
export { measureSpread, type MeasuredSpread } from './measure/measure-spread';
export { proposed, type Proposed } from './read/proposed';
export { readPage, type FieldRead, type Shown } from './read/read-page';
export { seePage, type KnownPage, type NotSeen, type SeenPage } from './find/see-page';
export { edgesPlanned } from './find/unit-edges';

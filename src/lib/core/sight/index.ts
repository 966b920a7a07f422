export {
	checkPage,
	piecesOf,
	type CheckedPage,
	type Finding,
	type PartState,
	type Piece
} from './check-page';
export type { Picture } from './colour';
export { findingWords } from './finding-words';
export { greyOf, type Grey } from './image';
export { measurePage, type MeasuredPage, type NotMeasured } from './measure-page';
export { proposed, type Proposed } from './proposed';
export { readPage, type FieldRead, type Shown } from './read-page';
export { seePage, type KnownPage, type NotSeen, type SeenPage } from './see-page';
export { edgesPlanned } from './unit-edges';

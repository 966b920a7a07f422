export type { Picture } from './colour';
export { greyOf, type Grey } from './image';
export { measurePage, type MeasuredPage, type NotMeasured } from './measure-page';
export { proposed, type Proposed } from './proposed';
export { readPage, type FieldRead, type Shown } from './read-page';
export { seePage, type KnownPage, type NotSeen, type SeenPage } from './see-page';

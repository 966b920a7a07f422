export { greyOf, type Grey } from './image';
export { measurePage, type MeasuredPage, type NotMeasured } from './measure-page';

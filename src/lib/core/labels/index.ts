export {
	labelHeights,
	labelSets,
	labelsOf,
	squaresAcross,
	type Label,
	type LabelSet
} from './labels';

import type { Tone } from '../../draw';
import type { PassId } from '../means/passes';
import { dryingOf, type Shelf } from '../means/shelf';

/** One thing to do on one page in one go. */
export interface Task {
	/** The same for the same pass of the same page, whatever else is planned. */
	readonly id: string;
	readonly page: number;
	readonly pass: PassId;
	readonly tone?: Tone;
	/** How light the tone is, from 0 to 1. */
	readonly light?: number;
	/** The longest stroke that is ruled, in mm. */
	readonly longestMm?: number;
	/** Some of it is drawn with a compass. */
	readonly round?: boolean;
	readonly seconds: number;
}

/** Why one task of a page comes before another, and how long after it the other may begin. */
export interface Rule {
	readonly id: string;
	readonly says: string;
	readonly reason: string;
	/** Nothing is begun on the page on the arm's side while the facing page is wet. */
	readonly acrossPages?: boolean;
	/** Seconds from the end of the first to the beginning of the second; undefined where the rule says nothing of the two. */
	readonly wait: (first: Task, second: Task, shelf: Shelf) => number | undefined;
}

const light = (task: Task) => task.light ?? 1;
const oneOf = (task: Task, ...passes: PassId[]) => passes.includes(task.pass);

/** What practitioners keep to on a page, each with its reason (common practice). */
export const rules: readonly Rule[] = [
	{
		id: 'cut-first',
		says: 'Cut before anything is drawn',
		reason: 'A cut takes squares from both sides of the leaf.',
		wait: (first, second) => (first.pass === 'cut' && second.pass !== 'cut' ? 0 : undefined)
	},
	{
		id: 'pencil-first',
		says: 'Pencil before ink',
		reason: 'A letter that is too wide is rubbed out and not patched.',
		wait: (first, second) =>
			first.pass === 'pencil' && !oneOf(second, 'cut', 'pencil') ? 0 : undefined
	},
	{
		id: 'tint-first',
		says: 'Tint, let it dry, then rule and write on it',
		reason: 'A colour over a line smears it, and a pen on wet colour bleeds.',
		wait: (first, second, shelf) =>
			first.pass === 'tint' && oneOf(second, 'rule', 'letter', 'write')
				? dryingOf(shelf, 'tint').over
				: undefined
	},
	{
		id: 'lightest-first',
		says: 'The lightest colour first',
		reason: 'A dark colour that is touched by a light one goes along with it.',
		wait: (first, second, shelf) =>
			first.pass === 'tint' && second.pass === 'tint' && light(first) > light(second)
				? dryingOf(shelf, 'tint').touch
				: undefined
	},
	{
		id: 'rule-first',
		says: 'Lines before letters',
		reason: 'The ruler slides over what is written, and lines show where it goes.',
		wait: (first, second, shelf) =>
			first.pass === 'rule' && oneOf(second, 'letter', 'write')
				? dryingOf(shelf, 'rule').touch
				: undefined
	},
	{
		id: 'frame-first',
		says: 'The frame before its picture',
		reason: 'A picture keeps to its frame, and a ruler slides over what is painted.',
		wait: (first, second, shelf) =>
			first.pass === 'rule' && second.pass === 'picture' ? dryingOf(shelf, 'rule').touch : undefined
	},
	{
		id: 'paste-late',
		says: 'Paste when the ink is dry',
		reason: 'Wet ink smears under paper, and a ruler trips over its edge.',
		wait: (first, second, shelf) =>
			second.pass === 'paste' && oneOf(first, 'tint', 'rule', 'letter', 'write', 'picture')
				? dryingOf(shelf, first.pass).touch
				: undefined
	},
	{
		id: 'erase-dry',
		says: 'Erase only what is dry',
		reason: 'An eraser takes ink along that a finger would not.',
		wait: (first, second, shelf) =>
			second.pass === 'erase' && !oneOf(first, 'erase', 'look')
				? dryingOf(shelf, first.pass).erase
				: undefined
	},
	{
		id: 'arm-dry',
		says: 'Nothing on the page under your arm while the other page is wet',
		reason: 'An arm that lies on a page draws its sleeve over the one beside it.',
		acrossPages: true,
		wait: () => undefined
	},
	{
		id: 'look-last',
		says: 'Look a page over in the end',
		reason: 'What is missing is seen once all else is there.',
		wait: (first, second) => (second.pass === 'look' && first.pass !== 'look' ? 0 : undefined)
	}
];

/** Rules that hold where a person has switched some off. */
export function rulesIn(off: readonly string[]): readonly Rule[] {
	return rules.filter(({ id }) => !off.includes(id));
}

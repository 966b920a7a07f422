import * as yup from 'yup';
import { backs, inkKinds, rules, usualTools } from '../../making';
import { flag, list, measure, missing, oneOf, record, whole, words } from './rules';

const seconds = whole(0, 86_400);
const found = record({ touch: seconds, over: seconds, erase: seconds });
const ink = record({
	kind: oneOf(inkKinds).required(missing),
	found,
	back: oneOf(backs),
	waterproof: flag()
});
const ratio = measure(0.05, 20, 'times the usual time');
const clock = yup
	.string()
	.strict()
	.matches(/^([01]\d|2[0-3]):[0-5]\d$/, 'must be a time such as 20:00');

/** How a person works, as the screens send it. */
export const makingSchema = record({
	evenings: record({
		at: clock.required(missing),
		minutes: whole(10, 600).required(missing),
		days: list(whole(0, 6).required(missing), 0, 7).required(missing),
		daysBefore: whole(0, 60).required(missing)
	}).required(missing),
	shelf: record({
		tint: ink.required(missing),
		rule: ink.required(missing),
		letter: ink.required(missing),
		write: ink.required(missing)
	}).required(missing),
	tools: record({
		rulerCm: whole(5, 100).required(missing),
		compass: flag().required(missing)
	}).default(usualTools),
	pace: record({
		cut: ratio,
		pencil: ratio,
		tint: ratio,
		rule: ratio,
		letter: ratio,
		write: ratio,
		picture: ratio,
		paste: ratio,
		erase: ratio,
		look: ratio
	}).default({}),
	pictureMinutes: whole(0, 600).default(20),
	leftHanded: flag(),
	off: list(oneOf(rules.map(({ id }) => id)).required(missing), 0, rules.length).required(missing)
}).required(missing);

const when = () => measure(0, Number.MAX_SAFE_INTEGER, 'ms').required(missing);
const most = 20_000;

/** How far a month is made, as the screens send it. */
export const progressSchema = record({
	done: list(
		record({
			id: words(60).required(missing),
			at: when(),
			undone: flag()
		}).required(missing),
		0,
		most
	).required(missing),
	moved: list(
		record({
			left: whole(0, 2000).required(missing),
			at: when(),
			day: words(10).matches(/^\d{4}-\d{2}-\d{2}$/, 'must be a day such as 2027-04-24')
		}).required(missing),
		0,
		most
	).required(missing)
}).required(missing);

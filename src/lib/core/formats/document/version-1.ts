import { kindById } from '../../catalogue';

/**
 * Plan documents and databases of version 1 held everything that a form can be told in one bag beside what people
 * write. This is what each form read of it then; it never changes.
 */
const read: Readonly<Record<string, readonly string[]>> = {
	title: ['letter'],
	quote: ['lineHeight'],
	'mini-calendar': ['cell'],
	'mini-calendar-set': ['across', 'gap', 'cell', 'marking', 'showGoals'],
	'month-grid': ['cell', 'split', 'overflow'],
	'six-column-grid': ['cell', 'header'],
	'weekday-rows': ['cell'],
	'matrix-days-down': ['marking', 'showGoals'],
	'matrix-days-across': ['marking', 'showGoals'],
	strips: ['across', 'marking', 'showGoals'],
	'rhythm-boxes': ['marking', 'showGoals'],
	ring: ['cell', 'marking', 'showGoals'],
	'day-cells': ['shape', 'cell'],
	'day-lines': ['lineHeight'],
	hours: ['from', 'hours'],
	'bed-wake': ['from', 'hours'],
	table: ['tables', 'entries', 'gap', 'lineHeight'],
	'grid-table': ['cell'],
	path: ['entries', 'cell'],
	'week-boxes': ['week', 'gap', 'frame', 'shift'],
	'week-columns': ['week', 'shape'],
	'week-halves': ['week', 'across'],
	'week-rows': ['week'],
	'week-staggered': ['week', 'cell'],
	cover: ['cell']
};

/** Forms that kinds took first in version 1 and take first no more. */
const former: Readonly<Record<string, string | undefined>> = {
	'year-strip': 'grid-table',
	dashboard: 'grid-table',
	routines: 'grid-table',
	weight: 'day-bars',
	'month-review': 'box',
	goals: 'box',
	tasks: 'box',
	'task-bank': 'table',
	'shopping-list': 'table',
	'purchases-by-urgency': 'grid-table',
	favourites: 'grid-table',
	currently: 'grid-table'
};

/** What one word said of a tracker in version 1. */
const markings: Readonly<Record<string, [string, unknown][]>> = {
	fill: [['done', 'filled']],
	circle: [['done', 'circled']],
	cross: [['missed', 'crossed']],
	leave: [['missed', 'left']],
	'fill-and-cross': [
		['done', 'filled'],
		['missed', 'crossed']
	]
};

/** Forms whose cells are as high as they are wide: one number now. */
const square = new Set([
	'mini-calendar',
	'mini-calendar-set',
	'ring',
	'day-cells',
	'path',
	'cover'
]);
const mostSquare = 40;
const bag = new Set([...Object.values(read).flat(), 'folded']);

type Raw = Readonly<Record<string, unknown>>;

const isRaw = (value: unknown): value is Raw =>
	typeof value === 'object' && value !== null && !Array.isArray(value);

/** A plan document of version 1 as one of version 2; anything else as it is. Nothing of it is checked here. */
export function planFromVersion1(document: unknown): unknown {
	if (!isRaw(document) || document.version !== 1) return document;
	const { drawn } = document;
	return {
		...document,
		version: 2,
		wishes: listOf(document.wishes, wishFromVersion1),
		...(drawn === undefined ? {} : { drawn: drawnFromVersion1(drawn) })
	};
}

/** What is drawn, as version 1 kept it. */
export function drawnFromVersion1(drawn: unknown): unknown {
	if (!isRaw(drawn)) return drawn;
	const blocks = listOf(drawn.blocks, (block) =>
		isRaw(block) ? { ...block, wish: drawnWish(block.wish, block.form) } : block
	);
	return { ...drawn, blocks };
}

/** A wish of version 1: its bag is given to each form that it may take, as far as that form read it. */
export function wishFromVersion1(wish: unknown): unknown {
	return isRaw(wish) ? parted(wish, formsOf(wish)) : wish;
}

function drawnWish(wish: unknown, form: unknown): unknown {
	if (!isRaw(wish)) return wish;
	const forms = [...formsOf(wish), ...(typeof form === 'string' ? [form] : [])];
	const { week, across, folded, ...others } = wish;
	if (!Array.isArray(folded)) return parted(wish, forms);
	return { ...parted(others, forms), part: { week: week ?? 1, page: across ?? 1, folded } };
}

function listOf(list: unknown, each: (entry: unknown) => unknown): unknown {
	return Array.isArray(list) ? list.map(each) : list;
}

function formsOf({ kind, form, weeks }: Raw): string[] {
	const own = typeof form === 'string' ? [form] : [];
	const others = isRaw(weeks) && Array.isArray(weeks.forms) ? weeks.forms : [];
	const ofWeeks = others.flatMap((other: unknown) =>
		isRaw(other) && typeof other.form === 'string' ? [other.form] : []
	);
	const ofKind = typeof kind === 'string' && own.length === 0 ? kindById(kind)?.forms : [];
	return [...own, ...ofWeeks, ...(ofKind ?? [])];
}

function parted(wish: Raw, forms: readonly string[]): Raw {
	const months = JSON.stringify(wish.parts) === '["months"]';
	const kept = Object.entries(wish).filter(
		([name]) => !bag.has(name) && !(months && name === 'parts')
	);
	const rules = [...new Set(forms)].flatMap((form): [string, Raw][] => {
		const own = (Object.hasOwn(read, form) ? (read[form] ?? []) : []).flatMap(
			(name): [string, unknown][] => rulesOf(form, name, wish[name])
		);
		if (months && form === 'grid-table') own.push(['across', 'months']);
		return own.length > 0 ? [[form, Object.fromEntries(own)]] : [];
	});
	// These kinds are ruled otherwise now, and what was planned stays as it was.
	const form = wish.form ?? (typeof wish.kind === 'string' ? former[wish.kind] : undefined);
	return {
		...Object.fromEntries(kept),
		...(form === undefined ? {} : { form }),
		...(rules.length > 0 ? { rules: Object.fromEntries(rules) } : {})
	};
}

/** Rules of a form from a field of the bag; none where the form did nothing with its value. */
function rulesOf(form: string, name: string, value: unknown): [string, unknown][] {
	if (value === undefined) return [];
	if (name === 'marking') return typeof value === 'string' ? (markings[value] ?? []) : [];
	if (name === 'cell' && square.has(form) && isRaw(value) && typeof value.w === 'number')
		return [['cell', Math.min(mostSquare, value.w)]];
	if (name === 'shape') {
		const known = form === 'week-columns' ? ['over-fold'] : ['square', 'hexagon'];
		const elsewhere = ['square', 'hexagon', 'over-fold'].some((shape) => shape === value);
		return elsewhere && !known.some((shape) => shape === value) ? [] : [['shape', value]];
	}
	if (form === 'week-halves' && name === 'across')
		return [['page', typeof value === 'number' ? Math.min(4, value) : value]];
	return [[name, value]];
}

import { move, type Mark } from '../../draw';
import type { Size } from '../../paper';
import { daysShown } from '../parts/day-labels';
import { ranked, type Form, type Layout, type Room, type Setting } from '../form/form';
import { titleRows } from '../parts/title-band';

const gap = 1;
/** Liked less than a month in one piece, even under a title on one row, and far more than none. */
const cost = 50;

/**
 * A form with a row a day that also comes in two halves, days 1 to 16 and 17 to the last, where its page is too low for
 * all: beside each other with a gap of 1, or one on each page of a spread. The title stands over the first. (Common
 * practice.)
 */
export function withHalves(form: Form): Form {
	return {
		...form,
		spans: ['page', 'spread'],
		layouts: (setting, room) => {
			const page: Room = room.span === 'page' ? room : { span: 'page', ...room.left };
			const whole = form.layouts(setting, page);
			if (whole.length > 0) return room.span === 'page' ? whole : [];
			const found =
				room.span === 'page' ? abreast(form, setting, room) : onBoth(form, setting, room);
			return ranked(found ? [found] : []);
		}
	};
}

/** Both halves in rooms of their own; the second begins below the title's rows as well. */
function halvesIn(form: Form, setting: Setting, left: Size, right: Size) {
	const days = daysShown(setting);
	const [first = 1, last = 1] = [days[0], days.at(-1)];
	const middle = first + Math.ceil(days.length / 2) - 1;
	const top = titleRows(setting);
	const [one] = form.layouts(
		{ ...setting, stretch: { first, last: middle } },
		{ span: 'page', ...left }
	);
	const [two] = form.layouts(
		{
			...setting,
			content: { ...setting.content, title: undefined },
			stretch: { first: middle + 1, last }
		},
		{ span: 'page', w: right.w, h: right.h - top }
	);
	if (one?.room.span !== 'page' || two?.room.span !== 'page') return undefined;
	const below = (marks: readonly Mark[], x: number) =>
		marks.map((mark) => move(mark, { x, y: top }));
	return {
		one,
		left: one.room,
		right: { w: two.room.w, h: top + two.room.h },
		discomfort: Math.min(100, Math.max(one.discomfort, two.discomfort) + cost),
		why: [...one.why, `in two halves: days ${first} to ${middle} and ${middle + 1} to ${last}`],
		marks: () => ({
			first: one.marks()[0] ?? [],
			second: (x: number) => below(two.marks()[0] ?? [], x)
		})
	};
}

function abreast(form: Form, setting: Setting, room: Room & { span: 'page' }): Layout | undefined {
	const half = { w: Math.floor((room.w - gap) / 2), h: room.h };
	const found = halvesIn(form, setting, half, half);
	if (!found) return undefined;
	const { one, left, right } = found;
	// Both as wide as the wider one, so that the room they take is halved as this one was.
	const w = Math.max(left.w, right.w);
	return {
		room: { span: 'page', w: 2 * w + gap, h: Math.max(left.h, right.h) },
		discomfort: found.discomfort,
		stretches: false,
		facts: { ...one.facts, abreast: 2, days: daysShown(setting).length },
		why: found.why,
		marks: () => {
			const { first, second } = found.marks();
			return [[...first, ...second(w + gap)]];
		}
	};
}

function onBoth(form: Form, setting: Setting, room: Room & { span: 'spread' }): Layout | undefined {
	const found = halvesIn(form, setting, room.left, room.right);
	if (!found) return undefined;
	const { one, left, right } = found;
	const days = daysShown(setting).length;
	const split = [Math.ceil(days / 2), Math.floor(days / 2)] as const;
	return {
		room: {
			...room,
			left: { w: room.left.w, h: left.h },
			right: { w: room.right.w, h: right.h }
		},
		discomfort: found.discomfort,
		stretches: false,
		facts: { ...one.facts, days, split },
		why: found.why,
		marks: () => {
			const { first, second } = found.marks();
			return [first, second(0)];
		}
	};
}

import { move, type Mark } from '../../draw';
import type { Size } from '../../paper';
import { daysShown } from '../parts/day-labels';
import { pageSize, ranked, type Form, type Layout, type Room, type Setting } from '../form/form';
import { titleMarks, titleRows } from '../parts/title-band';

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
			const halved = room.span === 'page' ? abreast : onBoth;
			const usual = halved(form, setting, room, first);
			const wide = usual && halved(form, setting, room, widest);
			return ranked([...(usual ? [usual] : []), ...(wide ? [{ ...wide, generous: true }] : [])]);
		}
	};
}

/** Which of a half's layouts is taken: the first, or the widest of those that are grown into. */
type Pick = (layouts: readonly Layout[]) => Layout | undefined;
const first: Pick = ([layout]) => layout;
const widest: Pick = (layouts) =>
	layouts
		.filter(({ generous }) => generous)
		.sort((a, b) => pageSize(b.room).w - pageSize(a.room).w)[0];

/** Both halves in rooms of their own; the second begins below the title's rows as well. */
function halvesIn(form: Form, setting: Setting, left: Size, right: Size, pick: Pick) {
	const days = daysShown(setting);
	const [begin = 1, last = 1] = [days[0], days.at(-1)];
	const middle = begin + Math.ceil(days.length / 2) - 1;
	const top = titleRows(setting);
	const one = pick(
		form.layouts({ ...setting, stretch: { first: begin, last: middle } }, { span: 'page', ...left })
	);
	const two = pick(
		form.layouts(
			{
				...setting,
				content: { ...setting.content, title: undefined },
				above: setting.above ?? setting.content.title,
				stretch: { first: middle + 1, last }
			},
			{ span: 'page', w: right.w, h: right.h - top }
		)
	);
	if (one?.room.span !== 'page' || two?.room.span !== 'page') return undefined;
	const below = (marks: readonly Mark[], x: number) =>
		marks.map((mark) => move(mark, { x, y: top }));
	return {
		one,
		left: one.room,
		right: { w: two.room.w, h: top + two.room.h },
		discomfort: Math.min(100, Math.max(one.discomfort, two.discomfort) + cost),
		why: [...one.why, `in two halves: days ${begin} to ${middle} and ${middle + 1} to ${last}`],
		marks: () => ({
			first: one.marks()[0] ?? [],
			second: (x: number) => below(two.marks()[0] ?? [], x)
		})
	};
}

function abreast(form: Form, setting: Setting, room: Room, pick: Pick): Layout | undefined {
	if (room.span !== 'page') return undefined;
	// The title stands over both.
	const top = titleRows(setting);
	const { title } = setting.content;
	const untitled = { ...setting, content: { ...setting.content, title: undefined }, above: title };
	const half = { w: Math.floor((room.w - gap) / 2), h: room.h - top };
	const found = halvesIn(form, untitled, half, half, pick);
	if (!found) return undefined;
	const { one, left, right } = found;
	// Both as wide as the wider one, so that the room they take is halved as this one was.
	const w = Math.max(left.w, right.w);
	const size = { w: 2 * w + gap, h: top + Math.max(left.h, right.h) };
	return {
		room: { span: 'page', ...size },
		discomfort: found.discomfort,
		stretches: false,
		facts: { ...one.facts, title: top, abreast: 2, days: daysShown(setting).length },
		why: [...(top > 0 ? [`title ${top} over both`] : []), ...found.why],
		marks: () => {
			const { first, second } = found.marks();
			const both = [...first, ...second(w + gap)].map((mark) => move(mark, { x: 0, y: top }));
			return [[...titleMarks(setting, size.w, false), ...both]];
		}
	};
}

function onBoth(form: Form, setting: Setting, room: Room, pick: Pick): Layout | undefined {
	if (room.span !== 'spread') return undefined;
	const found = halvesIn(form, setting, room.left, room.right, pick);
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

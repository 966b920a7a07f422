import type { Room } from '../forms';
import type { Wish } from '../wish';
import { squares, type Rect } from '../paper';
import { formsOf, misfitIn, kindOf, spansOf } from './choices';
import { choicesIn } from './hosting';
import type { Block, Plan } from './plan';
import { facing, sheetsOf, within, type Sheet } from './sheets';
import { largestEmpty } from './space';

/** What is missing for a wish, in squares, beside the blocks that found their place. */
export function reasonFor(plan: Plan, wish: Wish, blocks: readonly Block[]): string {
	const sheets = sheetsOf(plan);
	if (sheets.length === 0) return 'the notebook has no free page';
	const { pin } = wish;
	if (pin && !sheets.some((sheet) => sheet.page.number === pin.page))
		return `page ${pin.page} is not one of the free pages`;
	const rooms = sheets.flatMap((sheet) => sheet.rooms);
	const largest = rooms.reduce((a, b) => (b.w * b.h > a.w * a.h ? b : a), { w: 0, h: 0 });
	const room: Room = { span: 'page', ...(wish.size ?? largest) };
	const whole = choicesIn(plan, wish, room);
	const spans = new Set(formsOf(wish).flatMap((form) => spansOf(wish, form)));
	if (spans.size === 0) return `${kindOf(wish).name} cannot be ruled over a ${wish.span ?? 'page'}`;
	if (spans.has('spread') && !spans.has('page')) return spreadReason(plan, wish, sheets);
	if (whole.length === 0) {
		const misfit = misfitIn(plan, wish, room);
		if (misfit) return misfit.reason;
	}
	if (wish.size && (wish.size.w > largest.w || wish.size.h > largest.h))
		return `${wish.size.w} × ${wish.size.h} squares are wanted and a page has ${largest.w} × ${largest.h}`;
	const smallest = whole
		.flatMap(({ room }) => (room.span === 'page' ? [room] : []))
		.reduce((a, b) => (b.w * b.h < a.w * a.h ? b : a), largest);
	const left = sheets
		.flatMap((sheet) => {
			const { number } = sheet.page;
			const taken = blocks.flatMap(({ pieces }) =>
				pieces.flatMap(({ page, rect }) =>
					page === number ? within(rect, sheet.origin, sheet.size) : []
				)
			);
			const rect = largestEmpty(sheet.size, [...taken, ...sheet.lost]);
			return rect ? [{ page: sheet.page.number, rect }] : [];
		})
		.reduce<{ page: number; rect: Rect } | undefined>(
			(a, b) => (!a || b.rect.w * b.rect.h > a.rect.w * a.rect.h ? b : a),
			undefined
		);
	const needs = `at least ${smallest.w} × ${smallest.h} squares are needed`;
	return left
		? `${needs}; the largest place left is ${left.rect.w} × ${left.rect.h} on page ${left.page}`
		: `${needs} and every free page is full (${squares(0)} left)`;
}

function spreadReason(plan: Plan, wish: Wish, sheets: readonly Sheet[]): string {
	const pairs = sheets.flatMap((_, index) => {
		const pair = facing(sheets, index);
		return pair ? [pair] : [];
	});
	const [pair] = pairs;
	if (!pair) return 'two facing free pages are needed and there are none';
	const [left, right] = pair;
	const { size } = wish;
	const most = { w: left.size.w + right.size.w, h: Math.min(left.size.h, right.size.h) };
	if (size && (size.w > most.w || size.h > most.h))
		return `${size.w} × ${size.h} squares are wanted and two facing pages have ${most.w} × ${most.h}`;
	const room: Room = {
		span: 'spread',
		left: size ? { ...left.size, h: size.h } : left.size,
		right: size ? { ...right.size, h: size.h } : right.size,
		gutter: plan.notebook.gutter
	};
	const misfit = choicesIn(plan, wish, room).length === 0 && misfitIn(plan, wish, room);
	if (misfit) return misfit.reason;
	return 'two facing empty pages, a left and a right one, are needed; none is left after what comes before';
}

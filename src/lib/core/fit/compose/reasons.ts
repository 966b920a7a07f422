import type { Room } from '../../forms';
import type { Wish } from '../../wish';
import type { Size } from '../../paper';
import { formsOf, misfitIn, kindOf, spansOf } from '../choices/choices';
import { choicesIn } from '../members/hosting';
import { leastSizes } from '../problem/options';
import type { Plan } from '../plan/plan';
import { facing, sheetsOf, type Sheet } from '../choices/sheets';

/** Said of what finds no place, as long as nothing else is proved. */
export const noPlace = 'no place found';

/** What keeps a wish from standing even in an empty book; undefined where only the others do. */
export function ownReason(plan: Plan, wish: Wish): string | undefined {
	const sheets = sheetsOf(plan);
	if (sheets.length === 0) return 'the notebook has no free page';
	const { pin } = wish;
	if (pin && !sheets.some((sheet) => sheet.page.number === pin.page))
		return `page ${pin.page} is not one of the free pages`;
	const forms = formsOf(wish);
	const spans = new Set(forms.flatMap((form) => spansOf(wish, form)));
	if (spans.size === 0) {
		const name = forms[0]?.name ?? kindOf(wish).name;
		return wish.span === 'spread'
			? `“${name}” cannot be ruled over two pages: another layout can, or one page`
			: `“${name}” is ruled over two pages only`;
	}
	if (spans.has('spread') && !spans.has('page')) return spreadReason(plan, wish, sheets);
	const largest = largestRoom(sheets);
	const room: Room = { span: 'page', ...(wish.size ?? largest) };
	if (wish.size && (wish.size.w > largest.w || wish.size.h > largest.h))
		return `${wish.size.w} × ${wish.size.h} squares are wanted and a page has ${largest.w} × ${largest.h}`;
	if (choicesIn(plan, wish, room).length > 0) return undefined;
	return misfitIn(plan, wish, room)?.reason;
}

function largestRoom(sheets: readonly Sheet[]): Size {
	return sheets
		.flatMap((sheet) => sheet.rooms)
		.reduce((a, b) => (b.w * b.h > a.w * a.h ? b : a), { w: 0, h: 0 });
}

/** The fewest squares that a wish can take on a page, in the width that needs the least. */
export function leastSize(plan: Plan, wish: Wish): Size {
	const largest = largestRoom(sheetsOf(plan));
	if (wish.size) return wish.size;
	return leastSizes(plan, wish, largest).reduce<Size>(
		(a, b) => (b.w * b.h < a.w * a.h ? { w: b.w, h: b.h } : a),
		largest
	);
}

function spreadReason(plan: Plan, wish: Wish, sheets: readonly Sheet[]): string | undefined {
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
	return undefined;
}

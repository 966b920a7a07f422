import { squareCell } from '../form/common-rules';
import { contains, type Rect, type Size } from '../../paper';
import type { Setting } from '../form/form';
import { miniMonthSize, squareOf } from '../calendars/mini-month';
import {
	cellOf,
	gap,
	hasCalendar,
	shared,
	sideBand,
	titleBand,
	titlePlace,
	type Sharing
} from './cover-sharing';

/** Rows that a word needs above a hole, and columns beside one. */
const leastRows = 4;
const leastColumns = 4;

/** A cover's page with holes in it. */
export interface SharedRound {
	readonly sharing: Sharing;
	/** The word stands down the side. */
	readonly aside: boolean;
	/** The holes with a square around. */
	readonly frame: Rect;
}

/**
 * A cover's page round what is cut out of it, which takes its squares and one around. As long as the picture holds the holes all
 * stays as it is; else the word goes down the wider side where there are not four rows above the hole, and the calendar into
 * the other where it does not fit below. Undefined where the word has no place.
 */
export function sharedRound(
	setting: Setting,
	page: Size,
	holes: readonly Rect[]
): SharedRound | undefined {
	const frame = around(holes, page);
	const usual = cellOf(setting, page);
	for (const cell of new Set([usual, usual === undefined || usual === 0 ? usual : 1])) {
		if (cell === undefined) continue;
		const sharing = shared(setting, page, true, cell);
		if (sharing.free.some((place) => contains(place, frame)))
			return { sharing, aside: titlePlace.of(setting) === 'side', frame };
	}
	const left = { x: 0, y: 0, w: frame.x - gap, h: page.h };
	const rightFrom = frame.x + frame.w + gap;
	const right = { x: rightFrom, y: 0, w: page.w - rightFrom, h: page.h };
	const [wider, other] = left.w >= right.w ? [left, right] : [right, left];
	const onTop = Math.min(...holes.map(({ y }) => y)) >= leastRows;
	if (!onTop && wider.w < leastColumns) return undefined;
	const title = onTop
		? { x: 0, y: 0, w: page.w, h: Math.min(titleBand, frame.y) }
		: { ...wider, w: Math.min(wider.w, sideBand + gap) };
	const strips = onTop ? [right, left].sort((a, b) => b.w - a.w) : [other];
	const calendar = hasCalendar(setting) ? calendarRound(setting, page, frame, strips) : undefined;
	const isBelow = calendar && calendar.rect.y > frame.y + frame.h;
	const whole = { x: 0, y: title.h, w: page.w, h: (calendar?.rect.y ?? page.h) - gap - title.h };
	return {
		sharing: { title, calendar, free: [onTop && isBelow ? whole : frame] },
		aside: !onTop,
		frame
	};
}

/** The rectangle around holes and a square around it, as far as the page goes. */
function around(holes: readonly Rect[], page: Size): Rect {
	const x = Math.max(0, Math.min(...holes.map((hole) => hole.x)) - 1);
	const y = Math.max(0, Math.min(...holes.map((hole) => hole.y)) - 1);
	const right = Math.min(page.w, Math.max(...holes.map((hole) => hole.x + hole.w)) + 1);
	const bottom = Math.min(page.h, Math.max(...holes.map((hole) => hole.y + hole.h)) + 1);
	return { x, y, w: right - x, h: bottom - y };
}

/** The small calendar below the frame, or else at the foot of a strip beside it. */
function calendarRound(
	setting: Setting,
	page: Size,
	frame: Rect,
	strips: readonly Rect[]
): Sharing['calendar'] {
	const bottom = frame.y + frame.h;
	const asked = squareCell.of(setting);
	const cells = asked === undefined ? [2, 1] : [asked];
	for (const cell of cells) {
		const mini = miniMonthSize(setting, squareOf(cell));
		if (mini.w <= page.w && mini.h <= page.h - bottom - gap)
			return {
				cell,
				rect: { ...mini, x: Math.floor((page.w - mini.w) / 2), y: page.h - mini.h }
			};
	}
	for (const cell of cells)
		for (const strip of strips) {
			const mini = miniMonthSize(setting, squareOf(cell));
			if (mini.w > strip.w || mini.h > bottom) continue;
			const x = strip.x + Math.floor((strip.w - mini.w) / 2);
			return { cell, rect: { ...mini, x, y: bottom - mini.h } };
		}
	return undefined;
}

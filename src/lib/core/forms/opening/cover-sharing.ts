import { squareCell } from '../form/common-rules';
import type { Rect, Size } from '../../paper';
import type { Setting } from '../form/form';
import { choiceRule } from '../form/rule';
import { miniMonthSize, squareOf } from '../calendars/mini-month';

/** Rows around the title: one above, up to six for the letters, one below. */
export const letterRows = 6;
export const titleBand = letterRows + 2;
/** Columns for a word down the side: letters of up to four, and one either side. */
export const sideLetter = 4;
export const sideBand = sideLetter + 2;
export const gap = 1;
export const leastArt = 3;

export const shows = choiceRule({
	name: 'shows',
	label: 'With the word stand',
	options: [
		['both', 'a picture and a small calendar'],
		['picture', 'a picture'],
		['calendar', 'a small calendar'],
		['neither', 'nothing: room for something else']
	],
	usual: 'both'
});

export const titlePlace = choiceRule({
	name: 'titlePlace',
	label: 'The word stands',
	options: [
		['top', 'at the top'],
		['middle', 'in the middle'],
		['foot', 'at the foot'],
		['side', 'down the side']
	],
	usual: 'top'
});

/** How a cover's page is shared out: the word, the places between, the largest of them a room, the small calendar. */
export interface Sharing {
	readonly title: Rect | undefined;
	readonly free: readonly Rect[];
	readonly calendar: { readonly cell: number; readonly rect: Rect } | undefined;
}

export const hasCalendar = (setting: Setting) => ['both', 'calendar'].includes(shows.of(setting));
export const hasPicture = (setting: Setting) => ['both', 'picture'].includes(shows.of(setting));

/** Squares a day of the small calendar, none where there is none; undefined where it does not fit. */
export function cellOf(setting: Setting, there: Size): number | undefined {
	const aside = titlePlace.of(setting) === 'side';
	const [w, band] = aside ? [there.w - sideBand - gap, 0] : [there.w, titleBand];
	if (there.h < titleBand) return undefined;
	if (!hasCalendar(setting)) return w >= leastArt && there.h >= band + leastArt ? 0 : undefined;
	const large = miniMonthSize(setting, squareOf(2));
	const cell =
		squareCell.of(setting) ??
		(large.w <= w && 3 * (titleBand + gap + large.h) <= 2 * there.h ? 2 : 1);
	const mini = miniMonthSize(setting, squareOf(cell));
	return mini.w <= w && band + leastArt + gap + mini.h <= there.h ? cell : undefined;
}

/** A page with the word or without, and a calendar of so many squares a day. */
export function shared(setting: Setting, page: Size, titled: boolean, cell: number): Sharing {
	const place = titlePlace.of(setting);
	const mini = cell > 0 ? miniMonthSize(setting, squareOf(cell)) : undefined;
	const aside = titled && place === 'side';
	const x = aside ? sideBand + gap : 0;
	const w = page.w - x;
	const foot = titled && place === 'foot' ? page.h - titleBand : page.h;
	const top = titled && place === 'top' ? titleBand : 0;
	const bottom = mini ? foot - gap - mini.h : foot;
	const calendar = mini && {
		cell,
		rect: { ...mini, x: x + Math.floor((w - mini.w) / 2), y: foot - mini.h }
	};
	const whole = { x, y: top, w, h: bottom - top };
	if (!titled) return { title: undefined, free: [whole], calendar };
	switch (place) {
		case 'top':
			return { title: { x: 0, y: 0, w: page.w, h: titleBand }, free: [whole], calendar };
		case 'foot':
			return { title: { x: 0, y: foot, w: page.w, h: titleBand }, free: [whole], calendar };
		case 'side':
			return { title: { x: 0, y: 0, w: sideBand, h: page.h }, free: [whole], calendar };
		case 'middle': {
			const above = Math.floor((whole.h - titleBand) / 2);
			const title = { x: 0, y: above, w: page.w, h: titleBand };
			const below = { ...whole, y: above + titleBand, h: whole.h - above - titleBand };
			const parts = [{ ...whole, h: above }, below].filter(({ h }) => h >= leastArt);
			return { title, free: parts, calendar };
		}
	}
}

export function largest(rects: readonly Rect[]): Rect | undefined {
	return rects.toSorted((a, b) => b.w * b.h - a.w * a.h)[0];
}

import { squareCell, datePlace, weekdayStyle } from './common-rules';
import { frame, move, text, type Mark, type TintMark } from '../draw';
import { fitLettering, leastCapital, letters, type Lettering } from '../hand';
import { monthName } from '../month';
import type { Size } from '../paper';
import { pageSize, ranked, type Facts, type Form, type Layout, type Setting } from './form';
import { miniMonthMarks, miniMonthSize } from './mini-month';
import { drawnLetters } from './title-band';

/** Rows around the title: one above, up to six for the letters, one below. */
const letterRows = 6;
const titleBand = letterRows + 2;
const gap = 1;
const leastArt = 3;
/** Narrower letters are written and not drawn. */
const leastLetter = 2;

function leastSize(setting: Setting) {
	const mini = miniMonthSize(setting, 1, false);
	return { w: mini.w, h: titleBand + leastArt + gap + mini.h };
}

/**
 * Month cover: title lettering at the top, the mini calendar at the foot, everything between them free
 * for a picture. It fills the page it is given. The mini calendar has cells of 2 squares where they
 * leave at least a third of the height to the picture, else 1. Over a spread the title stands on the left
 * page, so that it never crosses the fold, and the mini calendar on the right one.
 */
export const cover: Form = {
	id: 'cover',
	name: 'Cover',
	spans: ['page', 'spread'],
	wholePage: true,
	content: ['title'],
	rules: [squareCell, datePlace, weekdayStyle],
	layouts: (setting, room) => {
		const there = pageSize(room);
		const least = leastSize(setting);
		if (there.w < least.w || there.h < least.h) return [];
		const large = miniMonthSize(setting, 2, false);
		const c =
			squareCell.of(setting) ??
			(large.w <= there.w && 3 * (titleBand + gap + large.h) <= 2 * there.h ? 2 : 1);
		const mini = miniMonthSize(setting, c, false);
		const needed = { w: mini.w, h: titleBand + leastArt + gap + mini.h };
		if (needed.w > there.w || needed.h > there.h) return [];
		const layout: Layout =
			room.span === 'page'
				? {
						room,
						discomfort: 0,
						stretches: true,
						facts: factsOf(setting, c, room.w),
						why: [
							...titleSums(setting, room.w),
							`title ${titleBand} + picture ${room.h - titleBand - gap - mini.h} + gap ${gap} + calendar ${mini.h} = ${room.h} down`
						],
						marks: () => [
							[
								...titleOf(setting, room.w),
								...pictureAt(titleBand, room.w, room.h - gap - mini.h),
								...calendarAt(setting, c, room)
							]
						]
					}
				: {
						room,
						discomfort: 5,
						stretches: true,
						facts: factsOf(setting, c, room.left.w),
						why: [
							...titleSums(setting, room.left.w),
							`left: title ${titleBand} + picture ${room.left.h - titleBand} = ${room.left.h} down`,
							`right: picture ${room.right.h - gap - mini.h} + gap ${gap} + calendar ${mini.h} = ${room.right.h} down`
						],
						marks: () => [
							[...titleOf(setting, room.left.w), ...pictureAt(titleBand, room.left.w, room.left.h)],
							[
								...pictureAt(0, room.right.w, room.right.h - gap - mini.h),
								...calendarAt(setting, c, room.right)
							]
						]
					};
		return ranked([layout]);
	}
};

function wordOf(setting: Setting): string {
	return (setting.content.title ?? monthName(setting.locale, setting.month)).toLocaleUpperCase(
		setting.locale
	);
}

/** The word's letters over the width; undefined where they would be narrower than letters can be drawn. */
function fitOf(setting: Setting, w: number): Lettering | undefined {
	const count = letters(wordOf(setting)).length;
	const least = Math.max(leastLetter, leastCapital(setting.hand));
	return [false, true]
		.flatMap((tight) => fitLettering(count, w, letterRows, tight) ?? [])
		.find(({ letter }) => letter >= least);
}

function factsOf(setting: Setting, c: number, w: number): Facts {
	const fit = fitOf(setting, w);
	const { weeks, days, lead } = setting.month;
	return {
		cell: { w: c, h: c },
		title: titleBand,
		letter: fit?.letter,
		used: fit?.used,
		gap: fit?.gap,
		rows: weeks,
		days,
		weeks,
		lead
	};
}

function titleSums(setting: Setting, w: number): string[] {
	const fit = fitOf(setting, w);
	if (!fit) return ['the word is too long for drawn letters: it is written'];
	const count = letters(wordOf(setting)).length;
	return [`${count} letters of ${fit.letter} with gaps of ${fit.gap} = ${fit.used} of ${w} across`];
}

function titleOf(setting: Setting, w: number): Mark[] {
	const word = wordOf(setting);
	// A cover's word may spread over the whole width.
	const fit = fitOf(setting, w);
	if (!fit) return [text(word, { x: 0, y: 1, w, h: letterRows }, 'hand')];
	const y = 1 + Math.floor((letterRows - fit.letter) / 2);
	return drawnLetters(letters(word), fit, { x: 0, y, w, h: fit.letter });
}

/** The place of the picture between two rows. */
function pictureAt(top: number, w: number, bottom: number): Mark[] {
	const picture: TintMark = { kind: 'tint', tone: 'art', x: 0, y: top, w, h: bottom - top };
	return [picture, ...frame(picture)];
}

/** The mini calendar in the middle of the page's foot. */
function calendarAt(setting: Setting, c: number, page: Size): Mark[] {
	const mini = miniMonthSize(setting, c, false);
	const at = { x: Math.floor((page.w - mini.w) / 2), y: page.h - mini.h };
	return miniMonthMarks(setting, c, { x: 0, y: 0 }).map((mark) => move(mark, at));
}

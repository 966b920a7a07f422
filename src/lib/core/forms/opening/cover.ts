import { squareCell, datePlace, weekdayStyle } from '../form/common-rules';
import { move, text, type Mark } from '../../draw';
import { fitLettering, leastCapital, letters, letterStarts, type Lettering } from '../../hand';
import { monthName } from '../../month';
import type { Rect, Size } from '../../paper';
import { framed, framedAs } from '../form/framed';
import type { Facts } from '../form/facts';
import { pageSize, ranked, type Form, type Layout, type Setting } from '../form/form';
import { miniMonthMarks, miniMonthSize, squareOf } from '../calendars/mini-month';
import { choiceRule } from '../form/rule';
import { drawnLetters } from '../parts/title-band';

/** Rows around the title: one above, up to six for the letters, one below. */
const letterRows = 6;
const titleBand = letterRows + 2;
/** Columns for a word down the side: letters of up to four, and one either side. */
const sideLetter = 4;
const sideBand = sideLetter + 2;
const gap = 1;
const leastArt = 3;
/** Narrower letters are written and not drawn. */
const leastLetter = 2;

const shows = choiceRule({
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

const titlePlace = choiceRule({
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

const outline = framedAs('rectangle');

/** How a cover's page is shared out: the word, the places between, the largest of them a room, the small calendar. */
interface Sharing {
	readonly title: Rect | undefined;
	readonly free: readonly Rect[];
	readonly calendar: { readonly cell: number; readonly rect: Rect } | undefined;
}

/**
 * Month cover: the word at the top, in the middle, at the foot or down the side, a small calendar at the foot, everything
 * between them a room that is framed for a picture. It fills the page it is given. The small calendar has cells of 2
 * squares where they leave at least a third of the height to the picture, else 1. Over a spread the word stands on
 * the left page, so that it never crosses the fold, and the small calendar on the right one.
 */
export const cover: Form = {
	id: 'cover',
	name: 'Cover',
	spans: ['page', 'spread'],
	wholePage: true,
	content: ['title'],
	rules: [shows, titlePlace, outline, squareCell, datePlace, weekdayStyle],
	rooms: [{ name: 'picture', label: 'in place of the picture' }],
	layouts: (setting, room) => {
		const cell = cellOf(setting, pageSize(room));
		if (cell === undefined) return [];
		const pages =
			room.span === 'page'
				? [shared(setting, room, true, cell)]
				: [shared(setting, room.left, true, 0), shared(setting, room.right, false, cell)];
		if (pages.some(({ free: [first] }) => !first || first.w < leastArt || first.h < leastArt))
			return [];
		const first = room.span === 'page' ? room : room.left;
		const picture = largest(pages[0]?.free ?? []);
		const layout: Layout = {
			room,
			discomfort: room.span === 'page' ? 0 : 5,
			stretches: true,
			facts: factsOf(setting, cell, first),
			why: [...titleSums(setting, first), ...sums(room.span, pages)],
			marks: () => pages.map((page) => marksOf(setting, page)),
			...(picture ? { rooms: [{ name: 'picture', on: 0, ...picture }] } : {})
		};
		return ranked([layout]);
	}
};

const hasCalendar = (setting: Setting) => ['both', 'calendar'].includes(shows.of(setting));
const hasPicture = (setting: Setting) => ['both', 'picture'].includes(shows.of(setting));

/** Squares a day of the small calendar, none where there is none; undefined where it does not fit. */
function cellOf(setting: Setting, there: Size): number | undefined {
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
function shared(setting: Setting, page: Size, titled: boolean, cell: number): Sharing {
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

function largest(rects: readonly Rect[]): Rect | undefined {
	return rects.toSorted((a, b) => b.w * b.h - a.w * a.h)[0];
}

function wordOf(setting: Setting): string {
	return (setting.content.title ?? monthName(setting.locale, setting.month)).toLocaleUpperCase(
		setting.locale
	);
}

/** Letters stay so far from the page's edges, and stand at most half a letter apart. (Common practice.) */
const edge = 1;

/** The word's letters along a length: they grow before their gaps do; undefined where they would be narrower than letters can be drawn. */
function fitOf(setting: Setting, page: Size): Lettering | undefined {
	const count = letters(wordOf(setting)).length;
	const least = Math.max(leastLetter, leastCapital(setting.hand));
	const aside = titlePlace.of(setting) === 'side';
	const length = (aside ? page.h : page.w) - 2 * edge;
	const most = aside ? Math.max(sideLetter, least) : letterRows;
	const [fit] = [false, true].flatMap((tight) => {
		const found = fitLettering(count, length, most, tight);
		return found && found.letter >= least ? [found] : [];
	});
	if (!fit) return undefined;
	const { letter } = fit;
	const gap = Math.min(fit.gap, Math.max(1, Math.floor(letter / 2)));
	const used = count * letter + (count - 1) * gap;
	return { letter, gap, used, margin: edge + Math.floor((length - used) / 2) };
}

function factsOf(setting: Setting, cell: number, page: Size): Facts {
	const fit = fitOf(setting, page);
	const { weeks, days, lead } = setting.month;
	return {
		...(cell > 0 ? { cell: { w: cell, h: cell } } : {}),
		title: titlePlace.of(setting) === 'side' ? sideBand : titleBand,
		letter: fit?.letter,
		used: fit?.used,
		gap: fit?.gap,
		rows: weeks,
		days,
		weeks,
		lead
	};
}

function titleSums(setting: Setting, page: Size): string[] {
	const fit = fitOf(setting, page);
	if (!fit) return ['the word is too long for drawn letters: it is written'];
	const count = letters(wordOf(setting)).length;
	const along = titlePlace.of(setting) === 'side' ? `${page.h} down` : `${page.w} across`;
	return [`${count} letters of ${fit.letter} with gaps of ${fit.gap} = ${fit.used} of ${along}`];
}

/** What stands below each other on each page. */
function sums(span: 'page' | 'spread', pages: readonly Sharing[]): string[] {
	return pages.map(({ title, free, calendar }, index) => {
		const rows = [
			...(title && title.h === titleBand ? [`title ${titleBand}`] : []),
			...free.map(({ h }) => `picture ${h}`),
			...(calendar ? [`gap ${gap}`, `calendar ${calendar.rect.h}`] : [])
		];
		const all =
			(title && title.h === titleBand ? titleBand : 0) +
			free.reduce((sum, { h }) => sum + h, 0) +
			(calendar ? gap + calendar.rect.h : 0);
		const side = span === 'page' ? '' : index === 0 ? 'left: ' : 'right: ';
		return `${side}${rows.join(' + ')} = ${all} down`;
	});
}

function marksOf(setting: Setting, { title, free, calendar }: Sharing): Mark[] {
	return [
		...(title ? titleOf(setting, title) : []),
		...(hasPicture(setting) ? free.flatMap((place) => pictureAt(setting, place)) : []),
		...(calendar
			? miniMonthMarks(setting, squareOf(calendar.cell), { x: 0, y: 0 }).map((mark) =>
					move(mark, calendar.rect)
				)
			: [])
	];
}

function titleOf(setting: Setting, place: Rect): Mark[] {
	const word = wordOf(setting);
	const drawn = letters(word);
	// A cover's word may spread over the whole width.
	const fit = fitOf(setting, place);
	const written = { x: place.x, y: place.y + 1, w: place.w, h: letterRows };
	if (!fit) return [text(word, written, 'hand')];
	if (titlePlace.of(setting) === 'side') {
		const starts = letterStarts(fit, drawn.length);
		const x = Math.floor((sideBand - fit.letter) / 2);
		return drawn.flatMap((letter, index): Mark[] => {
			const y = place.y + (starts[index] ?? 0);
			const box = { x, y, w: fit.letter, h: fit.letter };
			return letter === ' ' ? [] : [text(letter, box, 'lettering')];
		});
	}
	const high = Math.min(letterRows, Math.round((4 / 3) * fit.letter));
	const y = written.y + Math.floor((letterRows - high) / 2);
	return drawnLetters(drawn, fit, { ...written, y, h: high });
}

/** The place of a picture. */
function pictureAt(setting: Setting, place: Rect): Mark[] {
	const framing = outline.of(setting);
	const lines = framed(place, framing);
	return framing === 'rectangle' ? [{ kind: 'tint', tone: 'art', ...place }, ...lines] : lines;
}

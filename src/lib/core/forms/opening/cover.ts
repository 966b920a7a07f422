import { datePlace, squareCell, weekdayStyle } from '../form/common-rules';
import { move, text, type Mark } from '../../draw';
import { fitLettering, leastCapital, letters, letterStarts, type Lettering } from '../../hand';
import { monthName } from '../../month';
import type { Rect, Size } from '../../paper';
import { framed, framedAs } from '../form/framed';
import type { Facts } from '../form/facts';
import { pageSize, ranked, type Form, type Layout, type Setting } from '../form/form';
import { miniMonthMarks, squareOf } from '../calendars/mini-month';
import { drawnLetters } from '../parts/title-band';
import { sharedRound } from './cover-holes';
import {
	cellOf,
	gap,
	hasCalendar,
	hasPicture,
	largest,
	leastArt,
	letterRows,
	shared,
	shows,
	sideLetter,
	titleBand,
	titlePlace,
	type Sharing
} from './cover-sharing';

/** Narrower letters are written and not drawn. */
const leastLetter = 2;

const outline = framedAs('rectangle');

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
	roundHoles: true,
	content: ['title'],
	rules: [shows, titlePlace, outline, squareCell, datePlace, weekdayStyle],
	rooms: [{ name: 'picture', label: 'in place of the picture' }],
	layouts: (setting, room) => {
		if (room.span === 'page' && room.holes && room.holes.length > 0)
			return roundHoles(setting, room, room.holes);
		const cell = cellOf(setting, pageSize(room));
		if (cell === undefined) return [];
		const pages =
			room.span === 'page'
				? [shared(setting, room, true, cell)]
				: [shared(setting, room.left, true, 0), shared(setting, room.right, false, cell)];
		if (pages.some(({ free: [first] }) => !first || first.w < leastArt || first.h < leastArt))
			return [];
		const picture = largest(pages[0]?.free ?? []);
		const layout: Layout = {
			room,
			discomfort: room.span === 'page' ? 0 : 5,
			stretches: true,
			facts: factsOf(setting, cell, pages[0]?.title),
			why: [...titleSums(setting, pages[0]?.title), ...sums(room.span, pages)],
			marks: () => pages.map((page) => marksOf(setting, page)),
			...(picture ? { rooms: [{ name: 'picture', on: 0, ...picture }] } : {})
		};
		return ranked([layout]);
	}
};

function wordOf(setting: Setting): string {
	return (setting.content.title ?? monthName(setting.locale, setting.month)).toLocaleUpperCase(
		setting.locale
	);
}

/** The page with holes in it: where the composition would be cut, it stands round them. */
function roundHoles(
	setting: Setting,
	room: { readonly span: 'page' } & Size,
	holes: readonly Rect[]
): readonly Layout[] {
	const found = sharedRound(setting, room, holes);
	if (!found) return [];
	const { sharing, aside, frame } = found;
	const own: Setting = {
		...setting,
		rules: { ...setting.rules, ...(aside ? { [titlePlace.name]: 'side' } : {}) }
	};
	const { calendar, title, free } = sharing;
	const picture = largest(free);
	return [
		{
			room: { ...room, holes },
			discomfort: 0,
			stretches: true,
			facts: factsOf(own, calendar?.cell ?? 0, title),
			why: [
				...titleSums(own, title),
				`the hole and 1 around = ${frame.w} × ${frame.h}`,
				...(hasCalendar(setting) && !calendar ? ['no room beside it for a small calendar'] : [])
			],
			marks: () => [marksOf(own, sharing)],
			...(picture ? { rooms: [{ name: 'picture', on: 0, ...picture }] } : {})
		}
	];
}

/** Letters stay so far from the page's edges, and stand at most half a letter apart. (Common practice.) */
const edge = 1;

/** The word's letters along a length: they grow before their gaps do; undefined where they would be narrower than letters can be drawn. */
function fitOf(setting: Setting, place: Size): Lettering | undefined {
	const count = letters(wordOf(setting)).length;
	const least = Math.max(leastLetter, leastCapital(setting.hand));
	const aside = titlePlace.of(setting) === 'side';
	const length = (aside ? place.h : place.w) - 2 * edge;
	const most = aside
		? Math.max(Math.min(sideLetter, place.w - 2), least)
		: Math.min(letterRows, highest(place));
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

/** How high letters may be in a band: a row stays free above and below, in a low one only below. */
const highest = ({ h }: Size) => (h < lowBand ? h - 1 : h - 2);
const lowBand = 4;

function factsOf(setting: Setting, cell: number, title: Rect | undefined): Facts {
	const fit = title && fitOf(setting, title);
	const { weeks, days, lead } = setting.month;
	return {
		...(cell > 0 ? { cell: { w: cell, h: cell } } : {}),
		title: titlePlace.of(setting) === 'side' ? title?.w : title?.h,
		letter: fit?.letter,
		used: fit?.used,
		gap: fit?.gap,
		rows: weeks,
		days,
		weeks,
		lead
	};
}

function titleSums(setting: Setting, title: Rect | undefined): string[] {
	const fit = title && fitOf(setting, title);
	if (!fit) return ['the word is too long for drawn letters: it is written'];
	const count = letters(wordOf(setting)).length;
	const along = titlePlace.of(setting) === 'side' ? `${title.h} down` : `${title.w} across`;
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
	const high = Math.min(letterRows, highest(place));
	const written = { x: place.x, y: place.y + (place.h < lowBand ? 0 : 1), w: place.w, h: high };
	if (!fit) return [text(word, written, 'hand')];
	if (titlePlace.of(setting) === 'side') {
		const starts = letterStarts(fit, drawn.length);
		const x = place.x + Math.floor((place.w - fit.letter) / 2);
		return drawn.flatMap((letter, index): Mark[] => {
			const y = place.y + (starts[index] ?? 0);
			const box = { x, y, w: fit.letter, h: fit.letter };
			return letter === ' ' ? [] : [text(letter, box, 'lettering')];
		});
	}
	const h = Math.min(high, Math.round((4 / 3) * fit.letter));
	const y = written.y + Math.floor((high - h) / 2);
	return drawnLetters(drawn, fit, { ...written, y, h });
}

/** The place of a picture. */
function pictureAt(setting: Setting, place: Rect): Mark[] {
	const framing = outline.of(setting);
	const lines = framed(place, framing);
	return framing === 'rectangle' ? [{ kind: 'tint', tone: 'art', ...place }, ...lines] : lines;
}

import { field, type FieldMark, type Mark } from '../../draw';
import type { Rect, Size } from '../../paper';
import { everySecond, headed, titleStyle, undated, weekOfMonth } from '../form/common-rules';
import {
	ranked,
	type Form,
	type Layout,
	type Room,
	type RoomPlace,
	type Setting,
	type Span
} from '../form/form';
import type { Facts } from '../form/facts';
import { numberRule, type Rule } from '../form/rule';
import { titleSum } from '../parts/rows';
import { titleMarks, titleRows } from '../parts/title-band';
import { datesOfWeek, weekNumberOf, weekTitle, type WeekPlace } from './week';
import { headOf, spare, standingIn, type Standing } from './week-standing';
import { dayHeads, dayMarks, frames, headMarks, placeMarks, spareMarks } from './week-marks';

/** Places of a week on its pages, in order, and what is said of them. */
export interface WeekGrid {
	readonly places: readonly WeekPlace[];
	/** These are some of so many places that a week has over several sets of pages. */
	readonly part?: { readonly of: number; readonly from: number };
	/** Further rooms that it leaves for others. */
	readonly rooms?: readonly RoomPlace[];
	/** It takes all of the rows that it was offered, however many it rules. */
	readonly allRows?: boolean;
	readonly discomfort: number;
	readonly facts: Facts;
	readonly why: readonly string[];
}

/** What a week's days may take of its pages: below the head, above the foot, inside the outer columns. */
export interface WeekArea {
	readonly pages: readonly [Rect] | readonly [Rect, Rect];
	/** Squares that the fold counts as; of two pages only. */
	readonly gutter: number;
}

const inset = numberRule({
	name: 'frame',
	label: 'Stands in from the outer edge',
	least: 0,
	most: 50,
	unit: 'squares',
	more: true,
	chosen: () => 0
});
const foot = numberRule({
	name: 'foot',
	label: 'Rows kept free below the days',
	least: 0,
	most: 60,
	unit: 'rows',
	more: true,
	chosen: () => 0
});
/** Rules that all weeks have. */
const shared: readonly Rule[] = [
	titleStyle,
	headed,
	spare,
	dayHeads,
	frames,
	everySecond,
	foot,
	inset,
	weekOfMonth,
	undated
];

/** Rooms that weeks may leave for others. */
const rooms = [
	{ name: 'head', label: 'in the head' },
	{ name: 'spare', label: 'in the spare place' },
	{ name: 'foot', label: 'below the days' },
	{ name: 'foot-left', label: 'below the days, on the left page' },
	{ name: 'foot-right', label: 'below the days, on the right page' },
	{ name: 'left', label: 'at the outer side, on the left page' },
	{ name: 'right', label: 'at the outer side, on the right page' },
	{ name: 'shared-left', label: 'seen all through the set, on the left' },
	{ name: 'shared-right', label: 'seen all through the set, on the right' }
] as const;

/**
 * A form of a week: a head if wanted, the days and what is spare in the places that `grids` gives, a foot and outer
 * columns for others. Of a short week only the month's days are drawn. (Common practice.)
 */
export function weekForm(spec: {
	readonly id: string;
	readonly name: string;
	readonly spans: readonly Span[];
	readonly wholePage?: boolean;
	readonly rules: readonly Rule[];
	/** Its places are all for days. */
	readonly noSpare?: boolean;
	readonly grids: (setting: Setting, area: WeekArea) => readonly WeekGrid[];
	/** Rows of a day at which lines part it where nobody says otherwise. */
	readonly dayLines?: (height: number) => readonly number[];
}): Form {
	const { id, name, spans, wholePage } = spec;
	return {
		id,
		name,
		spans,
		...(wholePage ? { wholePage } : {}),
		content: ['title', 'columns'],
		columnsAre: 'Day sections, such as “Tasks 11”, 11 rows high, one per line',
		rules: [...shared.filter((rule) => !spec.noSpare || rule !== spare), ...spec.rules],
		rooms,
		layouts: (setting, room) => {
			const titled = withHead(setting);
			const top = headOf(setting) === 'top' ? titleRows(titled) : 0;
			const area = areaIn(setting, room, top);
			if (area.pages.some(({ w, h }) => w < 1 || h < 1)) return [];
			return ranked(
				spec
					.grids(setting, area)
					.flatMap((grid) => layoutOf(spec.dayLines, titled, room, top, area, grid) ?? [])
			);
		}
	};
}

/** The setting with the words of its head as a title. */
function withHead(setting: Setting): Setting {
	const head = headOf(setting);
	const title = head === 'none' ? undefined : setting.content.title || weekTitle(setting, head);
	return { ...setting, content: { ...setting.content, title } };
}

function areaIn(setting: Setting, room: Room, top: number): WeekArea {
	const below = foot.of(setting) ?? 0;
	const outer = inset.of(setting) ?? 0;
	const rect = ({ w, h }: Size, x: number): Rect => ({
		x,
		y: top,
		w: w - outer,
		h: h - top - below
	});
	return room.span === 'page'
		? { pages: [rect(room, 0)], gutter: 0 }
		: { pages: [rect(room.left, outer), rect(room.right, 0)], gutter: room.gutter };
}

function layoutOf(
	dayLines: ((height: number) => readonly number[]) | undefined,
	setting: Setting,
	room: Room,
	top: number,
	area: WeekArea,
	grid: WeekGrid
): Layout | undefined {
	const { of = grid.places.length, from = 0 } = grid.part ?? {};
	const standing = standingIn(setting, of).slice(from, from + grid.places.length);
	const lowest = Math.min(
		...grid.places.flatMap((place, index) => {
			const here = standing[index];
			if (here?.is !== 'day') return [];
			return place.map(({ h }) => (here.also ? Math.floor(h / 2) : h));
		})
	);
	const partly = dayMarks(setting, dayLines, lowest);
	const heads = headMarks(setting, datesOfWeek(setting));
	const hasHead = standing.some(({ is }) => is === 'head');
	if (partly.least > lowest || (hasHead && heads.rows > lowest)) return undefined;
	const below = foot.of(setting) ?? 0;
	const used = Math.max(...grid.places.flatMap((place) => place.map(({ y, h }) => y + h)));
	const allRows = grid.allRows || below > 0;
	const rows = (size: Size) => ({ ...size, h: allRows ? size.h : used });
	const taken: Room =
		room.span === 'page'
			? { ...room, ...rows(room) }
			: { ...room, left: rows(room.left), right: rows(room.right) };
	const onPages = (marksOf: (on: 0 | 1) => readonly Mark[]): readonly (readonly Mark[])[] =>
		room.span === 'page' ? [marksOf(0)] : [marksOf(0), marksOf(1)];
	return {
		room: taken,
		discomfort: grid.discomfort,
		stretches: false,
		facts: { ...grid.facts, week: weekNumberOf(setting), title: top },
		why: [
			...(top > 0 || below > 0
				? [
						`${titleSum(top)}${area.pages[0].h} for the days${below > 0 ? ` + foot ${below}` : ''} down`
					]
				: []),
			...grid.why,
			...partly.why
		],
		rooms: [
			...roomsBeside(setting, room, top, allRows ? area.pages[0].h : used - top),
			...grid.places.flatMap((place, index) => roomIn(setting, standing[index], place)),
			...(grid.rooms ?? [])
		],
		marks: () =>
			onPages((on) => [
				...(on === 0 && top > 0 ? titleMarks(setting, firstPage(room).w, false) : []),
				...fullField(setting, area.pages[on], allRows ? Infinity : used, on),
				...grid.places.flatMap((place, index): readonly Mark[] => {
					const here = standing[index];
					if (!here) return [];
					if (here.is === 'head') return place[0].on === on ? heads.marks(place[0]) : [];
					const framed = placeMarks(setting, place, on);
					if (here.is === 'spare') return [...spareMarks(setting, place, on), ...framed];
					return [...partly.marks(place, on, here.day, here.also), ...framed];
				})
			])
	};
}

/** How full a week's page became; without a week of its own, as a specimen, it has none. */
function fullField(
	{ part }: Setting,
	days: Rect | undefined,
	foot: number,
	on: 0 | 1
): FieldMark[] {
	if (!part || !days) return [];
	const h = Math.min(days.h, foot - days.y);
	return [field({ ...days, h }, { week: part.week, nth: part.page + on }, 'full')];
}

/** What the head of a place or the spare one leaves for others; of a spare one over the fold its larger piece. */
function roomIn(setting: Setting, standing: Standing | undefined, place: WeekPlace): RoomPlace[] {
	const [first, second] = place;
	if (!standing || standing.is === 'day' || (standing.is === 'head' && second)) return [];
	const { on, x, y, w, h } = second && second.w > first.w ? second : first;
	const own =
		standing.is === 'head'
			? headMarks(setting, datesOfWeek(setting)).rows
			: spareMarks(setting, place, on).length;
	return h > own ? [{ name: standing.is, on, x, y: y + own, w, h: h - own }] : [];
}

/** Rooms in the head of the right page, at the foot and in the outer columns, a square from the days. */
function roomsBeside(setting: Setting, room: Room, top: number, high: number): RoomPlace[] {
	const below = (foot.of(setting) ?? 0) - 1;
	const outer = (inset.of(setting) ?? 0) - 1;
	const sizes = room.span === 'page' ? [room] : [room.left, room.right];
	const beside = (name: string, on: 0 | 1, x: number): RoomPlace => {
		return { name, on, x, y: top, w: outer, h: high };
	};
	return [
		...(top > 2 && room.span === 'spread'
			? [{ name: 'head', on: 1 as const, x: 0, y: 0, w: room.right.w, h: top - 1 }]
			: []),
		...(below > 0
			? sizes.map(({ w, h }, on): RoomPlace => ({
					name: room.span === 'page' ? 'foot' : on === 0 ? 'foot-left' : 'foot-right',
					on: on === 0 ? 0 : 1,
					x: 0,
					y: h - below,
					w,
					h: below
				}))
			: []),
		...(outer > 0 && room.span === 'spread' ? [beside('left', 0, 0)] : []),
		...(outer > 0
			? [
					room.span === 'page'
						? beside('right', 0, room.w - outer)
						: beside('right', 1, room.right.w - outer)
				]
			: [])
	];
}

function firstPage(room: Room): Size {
	return room.span === 'page' ? room : room.left;
}

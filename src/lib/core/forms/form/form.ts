import type { Mark } from '../../draw';
import type { Hand } from '../../hand';
import type { MonthShape } from '../../month';
import type { Rect, Size } from '../../paper';
import type { Content, ContentName } from './content';
import type { Facts } from './facts';
import type { Rule, Rules } from './rule';

/** Whether a block stays on one page or lies over two facing ones. */
export type Span = 'page' | 'spread';

/** Which week of the month a part of a weekly set is for, and which of the week's pages. */
export interface WeekPart {
	/** Row of the month's grid, from 1. */
	readonly week: number;
	/** From 1, where a week has several pages. */
	readonly page: number;
	/** Days of a neighbouring short week that this one takes in. */
	readonly folded: readonly number[];
	/** Only the days of the month are drawn. */
	readonly short?: boolean;
}

/** Squares offered to a form, or taken by it: on one page, or on both pages of a spread. */
export type Room =
	| ({
			readonly span: 'page';
			/** What is cut out of it, for forms that are composed round holes; counted from its first dot. */
			readonly holes?: readonly Rect[];
	  } & Size)
	| {
			readonly span: 'spread';
			readonly left: Size;
			readonly right: Size;
			/** Squares that the fold counts as when something is drawn across it. */
			readonly gutter: number;
	  };

/** Everything besides the room that decides how a form is ruled. */
export interface Setting {
	readonly month: MonthShape;
	readonly hand: Hand;
	/** Language of weekday and month names, a BCP 47 tag. */
	readonly locale: string;
	readonly content: Content;
	/** The form's own rules, as far as they are said. */
	readonly rules: Rules;
	readonly part?: WeekPart;
	/** Lines that the month is likely to need, and why so many. */
	readonly expected?: { readonly lines: number; readonly why: string };
	/** How high the letters of its title are at most, where others in view need smaller ones. */
	readonly letters?: number;
	/** The title that stands over it already, where it is a part of something. */
	readonly above?: string | undefined;
	/** Days that are shown, both ends included, where it is not the whole month. */
	readonly stretch?: { readonly first: number; readonly last: number };
}

/** A size that a form can take, with the sum that leads to it. */
export interface Option {
	readonly room: Room;
	/** 0 (as liked) to 100 (barely usable). */
	readonly discomfort: number;
	readonly facts: Facts;
	readonly why: readonly string[];
	/** Whether it also fills any larger rectangle. */
	readonly stretches: boolean;
	/** Larger than anybody needs: only what stands in free squares anyway grows into it, and nothing is planned so. */
	readonly generous?: boolean;
}

/** A named place inside a block or beside it that other things may fill; it may reach beyond the block. */
export interface RoomPlace extends Rect {
	readonly name: string;
	/** On which of the block's pages it lies; it is counted from the block's first dot there. */
	readonly on: 0 | 1;
}

/** Where a member stands that lies over both pages of its host: no single rectangle, so no layout names it. */
export const bothPages = 'both';

/** An option that can draw itself: marks of each page in that page's part of the room. */
export interface Layout extends Option {
	readonly marks: () => readonly (readonly Mark[])[];
	/** Rooms that it leaves for others in the room that was offered. */
	readonly rooms?: readonly RoomPlace[];
}

/** How a page is ruled. Adding a form adds one file that makes one of these. */
export interface Form {
	readonly id: string;
	readonly name: string;
	readonly spans: readonly Span[];
	/** A page has it only where a wish asks for it, or its kind starts with it. */
	readonly byChoice?: boolean;
	/** It takes the whole of a page, never a part. */
	readonly wholePage?: boolean;
	/** It is composed round what is cut out of its page, and takes the whole of that too. */
	readonly roundHoles?: boolean;
	/** What of a wish's content it has a place for. */
	readonly content: readonly ContentName[];
	/** What its parts are called on the screen. */
	readonly partsAre?: string;
	/** What its columns are called on the screen, where they are none of a table. */
	readonly columnsAre?: string;
	/** What must be told below it, besides what is told of any tracker. */
	readonly notes?: (setting: Setting) => readonly string[];
	/** Content that it has no use for as long as it is ruled so. */
	readonly idle?: (rules: Rules) => readonly ContentName[];
	/** What it can be told, in the order in which it is asked for. */
	readonly rules: readonly Rule[];
	/** Rooms that it may leave for others, and what they are called. */
	readonly rooms?: readonly { readonly name: string; readonly label: string }[];
	/** All ways to rule it inside the room, the most comfortable first; that one is what is drawn there. */
	readonly layouts: (setting: Setting, room: Room) => readonly Layout[];
}

/** Layouts in order of comfort; a form's own order breaks ties. */
export function ranked(layouts: readonly Layout[]): readonly Layout[] {
	return [...layouts].sort((a, b) => a.discomfort - b.discomfort);
}

/** The room as one rectangle's size; a spread counts as its narrower, lower page. */
export function pageSize(room: Room): Size {
	return room.span === 'page'
		? { w: room.w, h: room.h }
		: { w: Math.min(room.left.w, room.right.w), h: Math.min(room.left.h, room.right.h) };
}

/** What a page form says of one way to be ruled. */
export interface PageLayout {
	readonly size: Size;
	readonly discomfort: number;
	readonly facts: Facts;
	readonly why: readonly string[];
	readonly stretches?: boolean;
	readonly generous?: boolean;
	readonly marks: () => readonly Mark[];
}

/** A layout on one page. */
export function onPage(layout: PageLayout): Layout {
	const { size, stretches = false, marks, ...rest } = layout;
	return {
		...rest,
		stretches,
		room: { span: 'page', w: size.w, h: size.h },
		marks: () => [marks()]
	};
}

/** A form that stays on one page: its layouts in a rectangle. */
export function pageForm(spec: {
	readonly id: string;
	readonly name: string;
	readonly byChoice?: boolean;
	readonly wholePage?: boolean;
	readonly content: readonly ContentName[];
	readonly partsAre?: string;
	readonly rules: readonly Rule[];
	readonly layouts: (setting: Setting, there: Size) => readonly PageLayout[];
}): Form {
	const { id, name, byChoice, wholePage, content, partsAre, rules } = spec;
	return {
		id,
		name,
		byChoice,
		wholePage,
		content,
		partsAre,
		rules,
		spans: ['page'],
		layouts: (setting, room) => {
			const there = pageSize(room);
			const layouts = spec
				.layouts(setting, there)
				.filter(({ size }) => size.w >= 1 && size.h >= 1 && size.w <= there.w && size.h <= there.h);
			return ranked(layouts.map(onPage));
		}
	};
}

/** How uncomfortable cells of a size are: 6 squares are roomy, 4 to 5 hold events, 3 a short word. */
export function cellDiscomfort(least: number): number {
	return [100, 90, 60, 30, 15, 5, 0][Math.min(6, Math.max(0, least))] ?? 0;
}

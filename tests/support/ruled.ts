import { expect } from 'vitest';
import {
	formById,
	misfitOf,
	type Form,
	type Layout,
	type Room,
	type Setting
} from '../../src/lib/core/forms';
import { monthShape, type WeekStart, type YearMonth } from '../../src/lib/core/month';
import { firstOf } from './first-of';
import { settingWith, type Told } from './told';

export const may: YearMonth = { year: 2027, month: 5 };
export const april: YearMonth = { year: 2027, month: 4 };
export const february: YearMonth = { year: 2027, month: 2 };
export const june: YearMonth = { year: 2027, month: 6 };

/** A form that must be there. */
export function formOf(id: string): Form {
	const form = formById(id);
	if (!form) throw new Error(id);
	return form;
}

/** A setting of May 2027 from Monday, or of another month. */
export const settingOf = (wish: Told, month = may, weekStart: WeekStart = 'monday'): Setting =>
	settingWith(wish, { month: monthShape(month, weekStart) });

/** All ways to rule a form in a room. */
export function answer(
	id: string,
	wish: Told,
	room: Room,
	month = may,
	weekStart: WeekStart = 'monday'
): readonly Layout[] {
	return formOf(id).layouts(settingOf(wish, month, weekStart), room);
}

/** Facts and size of the way that is liked best. */
export function best(...args: Parameters<typeof answer>) {
	const { room, facts } = firstOf(answer(...args));
	const size = room.span === 'page' ? { w: room.w, h: room.h } : undefined;
	return { ...facts, size, room };
}

/** What a form lacks in a room where it has no layout. */
export function lacking(id: string, wish: Told, room: Room) {
	expect(answer(id, wish, room)).toEqual([]);
	return misfitOf(formOf(id), settingOf(wish), room).lacking;
}

/** Texts of all marks, page by page. */
export function textsOf(...args: Parameters<typeof answer>): string[][] {
	return firstOf(answer(...args))
		.marks()
		.map((marks) => marks.flatMap((mark) => (mark.kind === 'text' ? [mark.text] : [])));
}

export const page = (w: number, h: number): Room => ({ span: 'page', w, h });
export const spread = (left: number, right: number, h = 40, gutter = 2): Room => ({
	span: 'spread',
	left: { w: left, h },
	right: { w: right, h },
	gutter
});

import type { Person } from '$lib/core/fit';
import { levels, move, subjectKey, type Mark } from '$lib/core/draw';
import { pageFields, pageMarks } from '$lib/core/page';
import { sideOf } from '$lib/core/paper';
import { entryKey } from '$lib/core/records';
import { paletteOf, type Theme } from '$lib/core/theme';
import type { Rgb } from '$lib/standins/paper-raster';
import { photographed, type Photograph, type Shot } from '$lib/standins/camera';
import { drawnPage, usualHand } from '$lib/standins/drawn-page';
import { invented } from '$lib/standins/invented';
import { seeded } from '$lib/standins/seeded';
import { monthsInBook, placedMonth } from './shelf';
import type { Store } from './store';

/** A month of the shelf, and its pages on which something is filled in. */
export interface Photographable {
	readonly id: string;
	readonly month: string;
	readonly pages: readonly number[];
}

/** What a simulated photograph shows besides what is planned and kept. */
export interface Pretended {
	/** What is not kept is made up. */
	readonly whole: boolean;
	/** The longest line down is ruled one square too far to the right. */
	readonly slip: boolean;
}

/** Months whose pages a simulated camera can take. */
export async function photographable(store: Store, person: Person): Promise<Photographable[]> {
	const books = (await store.notebooks.all()).filter(({ deleted }) => !deleted);
	const months = await Promise.all(
		books.map(({ id, notebook }) => monthsInBook(store, id, notebook, person))
	);
	return months.flat().map(({ record, plan, run }) => ({
		id: record.id,
		month: record.month,
		pages: run.pages
			.map(({ number }) => number)
			.filter((number) => pageFields(plan, run, number).length > 0)
	}));
}

/**
 * A simulated photograph of a page of a month as it was drawn and filled in. Undefined where there is no such page.
 */
export async function photographOf(
	store: Store,
	person: Person,
	monthId: string,
	page: number,
	shot: Omit<Shot, 'side'>,
	how: Pretended
): Promise<Photograph | undefined> {
	const month = await placedMonth(store, monthId, person);
	if (!month?.run.pages.some(({ number }) => number === page)) return undefined;
	const { plan, run } = month;
	const kept = new Map(
		(await store.records.ofMonth(monthId)).map((entry) => [entryKey(entry), entry.value])
	);
	const random = seeded(`${month.record.month} ${page}`);
	const filled = pageFields(plan, run, page).map(({ wish, field }) => {
		const known = kept.get(entryKey({ wish, about: subjectKey(field.about) }));
		return { field, value: known ?? (how.whole ? invented(field, random) : '') };
	});
	const side = sideOf(page);
	const hand = { ...usualHand, levels: keyOf(plan.theme) };
	const planned = pageMarks(plan, run, page);
	const marks = how.slip ? slipped(planned) : planned;
	const sheet = drawnPage(plan.notebook, side, marks, filled, hand);
	return photographed(plan.notebook, { ...shot, side }, sheet);
}

function slipped(marks: readonly Mark[]): Mark[] {
	const lengthOf = (mark: Mark) =>
		mark.kind === 'line' && mark.x1 === mark.x2 ? Math.abs(mark.y2 - mark.y1) : 0;
	const [longest] = marks.toSorted((a, b) => lengthOf(b) - lengthOf(a));
	return marks.map((mark) => (mark === longest ? move(mark, { x: 1, y: 0 }) : mark));
}

/** The pens that somebody has for the states of a key: those of the month's colours. */
function keyOf(theme: Theme | undefined): Rgb[] {
	const { tones } = paletteOf(theme);
	return levels.map((level) => {
		const [r = 0, g = 0, b = 0] = [1, 3, 5].map((at) =>
			parseInt(tones[level].slice(at, at + 2), 16)
		);
		return [r, g, b];
	});
}

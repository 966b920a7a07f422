import type { Room } from '../../forms';
import { contains, overlaps, spreadOf, type Dot, type Rect, type Size } from '../../paper';
import type { Pin, Wish } from '../../wish';
import { formsOf, rectsOf, settingOf, type Choice } from '../choices/choices';
import { layoutsOf } from '../choices/layouts-of';
import type { Taken } from '../members/footprint';
import { choicesIn } from '../members/hosting';
import { inRows, pageChoices, spreadChoices } from './options';
import type { Part } from '../choices/parts';
import type { Pieces, Plan } from '../plan/plan';
import { facing, holesIn, usableSquares, within, type Sheet } from '../choices/sheets';
import { emptyRects } from '../choices/space';

/** A part whose place the person fixed to the dot. */
export interface Fixed {
	readonly part: Part;
	readonly choice: Choice;
	readonly room: Room;
	readonly pieces: Pieces;
}

/**
 * Wishes of which one that must face what is pinned or drawn is pinned to the facing page as well, and so is what must face
 * that one in turn.
 */
export function facingPins({ wishes, drawn }: Pick<Plan, 'wishes' | 'drawn'>): readonly Wish[] {
	const pageOf = ({ id, pin, weeks }: Wish) =>
		weeks
			? undefined
			: (drawn?.blocks.find(({ wish }) => wish.id === id)?.pieces[0]?.page ?? pin?.page);
	const pinned = wishes.map((wish) => {
		if (wish.pin || wish.weeks) return wish;
		const partner = wishes.find(
			(other) =>
				other !== wish &&
				pageOf(other) !== undefined &&
				(other.id === wish.facing || other.facing === wish.id)
		);
		const page = partner && pageOf(partner);
		if (page === undefined) return wish;
		const { left, right } = spreadOf(page);
		return { ...wish, pin: { page: page === left ? right : left } };
	});
	const more = pinned.some((wish, index) => wish !== wishes[index]);
	return more ? facingPins({ wishes: pinned, drawn }) : pinned;
}

/** Whether a part has its page only from what it must face, while a person has put something else on that page. */
export function givesWay({ wishes }: Pick<Plan, 'wishes'>, { wish }: Part): boolean {
	const { id, pin } = wish;
	const own = wishes.find((other) => other.id === id);
	return pin !== undefined && !own?.pin && wishes.some((other) => other.pin?.page === pin.page);
}

/** Whether a part that is pinned to a page can only lie over the spread that begins there. */
export function onlyOverSpread(
	plan: Plan,
	{ wish }: Part,
	sheets: readonly Sheet[],
	index: number
): boolean {
	const sheet = sheets[index];
	if (!sheet || !facing(sheets, index)) return false;
	const { side } = sheet.page;
	return pageChoices(plan, wish, sheet.rooms, { side, whole: true }).length === 0;
}

/** A part at the place where it is pinned, or over the spread that begins on its page. */
export function place(
	plan: Plan,
	part: Part,
	sheets: readonly Sheet[],
	index: number,
	fixed: readonly Fixed[]
): Fixed | undefined {
	const { wish } = part;
	const { pin } = wish;
	const sheet = sheets[index];
	if (!pin || !sheet || (wish.side && wish.side !== sheet.page.side)) return undefined;
	const free = (page: number, rect: Rect) =>
		!rectsHeld(fixed, page).some((held) => overlaps(held, rect));
	const pair = facing(sheets, index);
	if (pair && (pin.x === undefined || wish.span === 'spread')) {
		const [left, right] = pair;
		const y = pin.y ?? left.origin.y;
		const below = ({ size, origin }: Sheet) => ({ w: size.w, h: size.h - (y - origin.y) });
		const held = (at: Sheet) =>
			rectsHeld(fixed, at.page.number).flatMap((rect) =>
				within(rect, { ...at.origin, y }, below(at))
			);
		const taken: Taken = [held(left), held(right)];
		const options = spreadChoices(plan, wish, below(left), below(right), taken);
		const choice =
			fullOver(plan, below(left), below(right), options[0]?.choice, pin) ??
			(
				options.find(({ choice: { room } }) => room.span === 'spread' && room.left.h === pin.h) ??
				(pin.h === undefined ? options[0] : undefined)
			)?.choice ??
			spreadOfHeight(plan, wish, below(left), below(right), pin.h);
		if (choice?.room.span !== 'spread') return undefined;
		const { room } = choice;
		const pieces = overFold(left, right, room, y);
		if (y < left.origin.y) return undefined;
		if (!pieces.every(({ page, rect }) => free(page, rect))) return undefined;
		return { part, choice, room, pieces };
	}
	if (pin.x === undefined || pin.y === undefined) return undefined;
	const { number } = sheet.page;
	const asked = { w: pin.w ?? wish.size?.w, h: pin.h ?? wish.size?.h };
	const onPage = { w: sheet.page.columns - pin.x, h: sheet.page.rows - pin.y };
	// A size that is fixed too may have a hole in one of its rooms.
	const exact =
		asked.w !== undefined && asked.h !== undefined && asked.w <= onPage.w && asked.h <= onPage.h
			? [{ w: asked.w, h: asked.h }]
			: [];
	const [choice] = [...placesFrom(plan, sheet, { x: pin.x, y: pin.y }, fixed), ...exact]
		.flatMap((most) => {
			const wanted = { w: asked.w ?? most.w, h: asked.h ?? most.h };
			if (wanted.w > most.w || wanted.h > most.h) return [];
			const rect = { x: pin.x ?? 0, y: pin.y ?? 0, ...wanted };
			const holes = holesIn(plan, number, rect);
			const around = holes.length > 0 && formsOf(wish).some(({ roundHoles }) => roundHoles);
			const room: Room = { span: 'page', ...wanted, ...(around ? { holes } : {}) };
			return choicesIn(plan, wish, room, false, around ? [holes, []] : undefined).slice(0, 1);
		})
		.sort((a, b) => a.discomfort - b.discomfort);
	if (choice?.room.span !== 'page') return undefined;
	const size = {
		w: pin.w ?? wish.size?.w ?? choice.room.w,
		h: pin.h ?? wish.size?.h ?? choice.room.h
	};
	const rect = { x: pin.x, y: pin.y, ...size };
	// A hole in what a block leaves for others, such as a cover's picture, takes nothing of the block itself.
	const open = (choice.rooms ?? []).map((place) => from(rect, place));
	const cutAway = usableSquares(plan, number).lost.some(
		(part) => overlaps(part, rect) && !open.some((room) => contains(room, part))
	);
	if (cutAway || !free(number, rect)) return undefined;
	const { holes } = choice.room;
	const room: Room = { span: 'page', ...size, ...(holes ? { holes } : {}) };
	return { part, choice, room, pieces: [{ page: number, rect }] };
}

/** Sizes that are free from a dot on to the right and down, the largest first. */
function placesFrom(plan: Plan, { page }: Sheet, { x, y }: Dot, fixed: readonly Fixed[]): Size[] {
	const taken = [...rectsHeld(fixed, page.number), ...usableSquares(plan, page.number).lost];
	return emptyRects({ w: page.columns, h: page.rows }, taken)
		.filter((rect) => x >= rect.x && x < rect.x + rect.w && y >= rect.y && y < rect.y + rect.h)
		.map((rect) => ({ w: rect.x + rect.w - x, h: rect.y + rect.h - y }));
}

/** What a person holds on a page, members included. */
export function rectsHeld(fixed: readonly Fixed[], page: number): Rect[] {
	return fixed.flatMap(({ choice, pieces }) =>
		pieces.flatMap((piece, on) => {
			if (piece.page !== page) return [];
			const guests = choice.inside?.guests ?? [];
			const rects = guests.flatMap((guest) => rectsOf(guest, on === 0 ? 0 : 1));
			return [piece.rect, ...rects.map((rect) => from(piece.rect, rect))];
		})
	);
}

/** What is taken of a sheet, counted from its origin: cut away, or held by a person. */
export function obstaclesOn(sheet: Sheet, fixed: readonly Fixed[]): Rect[] {
	const held = rectsHeld(fixed, sheet.page.number);
	return [...sheet.lost, ...held.flatMap((rect) => within(rect, sheet.origin, sheet.size))];
}

/** A rectangle that is counted from another one's first dot. */
export function from({ x, y }: Dot, rect: Rect): Rect {
	return { ...rect, x: rect.x + x, y: rect.y + y };
}

/** Pieces of a block over the fold: against it on both pages. */
export function overFold(
	left: Sheet,
	right: Sheet,
	room: Room & { readonly span: 'spread' },
	y: number
): Pieces {
	const outer = left.size.w - room.left.w;
	return [
		{ page: left.page.number, rect: { x: left.origin.x + outer, y, ...room.left } },
		{ page: right.page.number, rect: { x: right.origin.x, y, ...room.right } }
	];
}

/** The way to rule a choice over a spread in exactly the pinned size, where it is none that is planned with. */
function fullOver(
	plan: Plan,
	left: Size,
	right: Size,
	choice: Choice | undefined,
	pin: Pin
): Choice | undefined {
	const { w, h } = pin;
	if (!choice || choice.inside || w === undefined || h === undefined) return undefined;
	const { form, as } = choice;
	const { gutter } = plan.notebook;
	const rows = ({ w }: Size) => ({ w, h: Math.min(h, left.h, right.h) });
	const room: Room = { span: 'spread', left: rows(left), right: rows(right), gutter };
	const layout = layoutsOf(form, settingOf(plan, as, form), room)
		.filter(({ generous }) => generous)
		.find(({ room }) => room.span === 'spread' && room.left.w + room.right.w === w);
	return layout && inRows({ ...choice, ...layout }, h);
}

/** How a wish is ruled over a spread in exactly so many rows, where it can be. */
function spreadOfHeight(
	plan: Plan,
	wish: Wish,
	left: Size,
	right: Size,
	h: number | undefined
): Choice | undefined {
	if (h === undefined || h < 1 || h > left.h || h > right.h) return undefined;
	const { gutter } = plan.notebook;
	const room: Room = {
		span: 'spread',
		left: { w: left.w, h },
		right: { w: right.w, h },
		gutter
	};
	const [choice] = choicesIn(plan, wish, room);
	return choice && inRows(choice, h);
}

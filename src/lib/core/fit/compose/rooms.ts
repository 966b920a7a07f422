import { layoutsOf } from '../choices/layouts-of';
import { formById, type Layout, type Room, type RoomPlace } from '../../forms';
import { contains, type Rect, type Size } from '../../paper';
import { mayHold, wishById } from '../../wish';
import { settingOf } from '../choices/choices';
import { from } from '../problem/pinned';
import type { Block, Piece, Plan, Run } from '../plan/plan';
import { inView, sheetsOf, type Sheet } from '../choices/sheets';

/** A room that a block of the run leaves for others. */
export interface OpenRoom {
	readonly host: Block;
	readonly name: string;
	readonly page: number;
	readonly rect: Rect;
}

/** The rooms of a block, on its pages; none of a form without rooms, or of what is drawn already. */
export function roomsOf(plan: Plan, host: Block): readonly OpenRoom[] {
	const known = found.get(host);
	if (known?.plan === plan) return known.rooms;
	const rooms = openRooms(plan, host);
	found.set(host, { plan, rooms });
	return rooms;
}

/** They are asked for at every step of a block in the hand, and blocks never change. */
const found = new WeakMap<Block, { plan: Plan; rooms: readonly OpenRoom[] }>();

function openRooms(plan: Plan, host: Block): OpenRoom[] {
	const form = formById(host.form);
	if (!form?.rooms || host.drawnWith) return [];
	const setting = settingOf(plan, host.as, form);
	const same = JSON.stringify(host.room);
	// A calendar's rooms are what its pages have beside it.
	const offered = form.wholePage || host.as.part ? host.room : pagesOf(plan, host);
	// It may have been ruled for fewer rows or columns than there are: then its rooms are those of the most that rule it so.
	let layout: Layout | undefined;
	for (const lower of [...lowered(offered), ...lowered(narrowed(offered, host.room))]) {
		layout = layoutsOf(form, setting, lower).find(({ room }) => JSON.stringify(room) === same);
		if (layout) break;
	}
	const rooms = [...(layout?.rooms ?? []), ...besideWeeks(plan, host)];
	return rooms.flatMap(({ name, on, ...rect }): OpenRoom[] => {
		const piece = host.pieces[on];
		if (!piece || rect.w < 1 || rect.h < 1) return [];
		return [{ host, name, page: piece.page, rect: from(piece.rect, rect) }];
	});
}

/** A room on a page as narrow as a block; nothing where it is so already. */
function narrowed(room: Room | undefined, block: Room): Room | undefined {
	if (room?.span !== 'page' || block.span !== 'page' || room.w === block.w) return undefined;
	return { ...room, w: block.w };
}

/** A room, and the same with fewer and fewer rows. */
function lowered(room: Room | undefined): Room[] {
	if (!room) return [];
	if (room.span === 'page')
		return Array.from({ length: room.h }, (_, less) => ({ ...room, h: room.h - less }));
	const { left, right } = room;
	return Array.from({ length: Math.min(left.h, right.h) }, (_, less) => ({
		...room,
		left: { ...left, h: left.h - less },
		right: { ...right, h: right.h - less }
	}));
}

/** What stays in view of its pages beside a week. */
function besideWeeks(plan: Plan, { as, pieces }: Block): RoomPlace[] {
	if (!as.part) return [];
	const sheets = sheetsOf(plan);
	return pieces.flatMap(({ page }, index) => {
		const sheet = sheets.find((other) => other.page.number === page);
		return sheet ? inView(sheet, index === 0 ? 0 : 1) : [];
	});
}

/** The room in which something would live if it were put at a place: the innermost one that holds it wholly. */
export function roomAt(
	plan: Plan,
	run: Run,
	wish: string,
	{ page, rect }: Piece
): OpenRoom | undefined {
	const inside = run.blocks
		.filter((host) => mayLive(plan, host.wish, wish))
		.flatMap((host) => roomsOf(plan, host))
		.filter((room) => room.page === page && contains(room.rect, rect));
	return inside.sort((a, b) => a.rect.w * a.rect.h - b.rect.w * b.rect.h)[0];
}

/** Whether a wish lives in another one's rooms, or may be put there. */
export function mayLive({ wishes }: Plan, host: string, wish: string): boolean {
	const own = wishById(wishes, host)?.members?.some(({ id }) => id === wish) ?? false;
	return own || mayHold(wishes, host, wish);
}

/** What is left of a block's pages from its first row down, from its outer edges in. */
function pagesOf(plan: Plan, { pieces: [first, second], room }: Block): Room | undefined {
	const sheets = sheetsOf(plan);
	const below = ({ page, rect }: Piece): Size | undefined => {
		const sheet: Sheet | undefined = sheets.find((other) => other.page.number === page);
		return sheet && { w: sheet.size.w, h: sheet.size.h - (rect.y - sheet.origin.y) };
	};
	const left = below(first);
	if (room.span === 'page') return left && { span: 'page', ...left, w: left.w - first.rect.x };
	const right = second && below(second);
	return left && right && { ...room, left, right };
}

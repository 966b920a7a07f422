import { bothPages, type Facts, type Room } from '../../forms';
import { kindOf, mayLieOver, settingOf, type Choice } from '../choices/choices';
import type { Taken } from '../members/footprint';
import { choicesIn, isShared, missedBy } from '../members/hosting';
import { layoutsOf } from '../choices/layouts-of';
import { from } from '../problem/pinned';
import type { Block, Host, Piece, Pieces, Plan, Unplaced } from '../plan/plan';

/** A choice at its place in the book. */
export interface Seated {
	readonly choice: Choice;
	/** The block's own room, its members' left aside. */
	readonly room: Room;
	readonly pieces: Pieces;
	readonly discomfort: number;
}

/**
 * A choice in another room than the one it was planned for, where its members find no worse places there; a block
 * without members is drawn in that room as it is.
 */
export function inRoom(plan: Plan, choice: Choice, room: Room, taken?: Taken): Choice | undefined {
	const { inside, form, as } = choice;
	if (JSON.stringify(room) === JSON.stringify(choice.room)) return choice;
	if (!inside) {
		const [layout] = layoutsOf(form, settingOf(plan, as, form), room);
		if (!layout || layout.discomfort > choice.discomfort) return undefined;
		return { ...choice, ...layout, discomfort: choice.discomfort };
	}
	const found = choicesIn(plan, as, room, false, taken).find((other) => other.form === form);
	if (!found || missedBy(found) > missedBy(choice)) return undefined;
	return missedBy(found) < missedBy(choice) || found.discomfort <= choice.discomfort
		? found
		: undefined;
}

/** A block and its members' blocks, each with the sums of what is drawn there. */
export function blocksOf(plan: Plan, seated: Seated, host?: Host): Block[] {
	const { choice, pieces } = seated;
	const own = block(plan, seated);
	return [
		host ? { ...own, host } : own,
		...(choice.inside?.guests ?? []).flatMap(({ choice: guest, room, on, rect, across }) => {
			const at: Piece | undefined = pieces[on];
			if (!at) return [];
			const { discomfort } = guest;
			if (guest.room.span === 'spread') {
				const right = pieces[1];
				if (!across || !right) return [];
				const own: Pieces = [
					{ page: at.page, rect: from(at.rect, rect) },
					{ page: right.page, rect: from(right.rect, across) }
				];
				const seat = { choice: guest, room: guest.room, pieces: own, discomfort };
				return blocksOf(plan, seat, { wish: choice.as.id, room });
			}
			const { w, h } = guest.inside ? guest.room : rect;
			return blocksOf(
				plan,
				{
					choice: guest,
					room: { span: 'page', w, h },
					pieces: [{ page: at.page, rect: from(at.rect, { ...rect, w, h }) }],
					discomfort
				},
				{ wish: choice.as.id, room }
			);
		})
	];
}

const noRoomIn = 'there is no room for it in “';
const besideOthers = '” beside the others';

/** Whether a reason says that a member found no room beside the others. */
export function isCrowded(reason: string): boolean {
	return reason.startsWith(noRoomIn) && reason.endsWith(besideOthers);
}

/** Members that found no place with their host. */
export function unseated({ inside, as, form }: Choice): Unplaced[] {
	if (!inside) return [];
	const reason = `${noRoomIn}${as.title ?? form.name}${besideOthers}`;
	return [
		...inside.left.map((wish): Unplaced => {
			const cannot = wish.room === bothPages && !mayLieOver(wish);
			return { wish: wish.id, reason: cannot ? 'none of its forms lies over two pages' : reason };
		}),
		...inside.guests.flatMap(({ choice }) => unseated(choice))
	];
}

/**
 * A block with the sums of what will be drawn there, the form's first layout in its room; in squares of
 * the page where the choice it was planned with comes out the same.
 */
function block(plan: Plan, { choice, room, pieces, discomfort }: Seated): Block {
	const { as } = choice;
	const [drawn = choice] = layoutsOf(choice.form, settingOf(plan, as, choice.form), room);
	const { facts, why } = sameRuling(drawn.facts, choice.facts) ? choice : drawn;
	const said = [...why, ...withoutMembers(plan, choice)];
	return { wish: as.id, as, form: choice.form.id, room, pieces, discomfort, facts, why: said };
}

/** Members of a set that its short week has no place for. */
function withoutMembers({ wishes }: Plan, { as }: Choice): string[] {
	if (!as.part?.short) return [];
	const all = wishes.find(({ id }) => id === as.id)?.members ?? [];
	return all
		.filter(({ id, room }) => !isShared(room) && !as.members?.some((member) => member.id === id))
		.map((member) => `“${member.title || kindOf(member).name}” has no place in a short week`);
}

/** Whether two rulings differ in nothing but what is left over beside them. */
function sameRuling(a: Facts, b: Facts): boolean {
	return JSON.stringify({ ...a, over: 0 }) === JSON.stringify({ ...b, over: 0 });
}

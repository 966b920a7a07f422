import { bothPages, type Room, type RoomPlace } from '../../forms';
import type { Wish } from '../../wish';
import {
	expectedOf,
	formsOf,
	importanceOf,
	leftBy,
	ruledIn,
	type Choice
} from '../choices/choices';
import type { Taken } from './footprint';
import { Guests, missed } from './guests';
import type { Plan } from '../plan/plan';
import { sharedRooms } from '../choices/sheets';
import { counted, used, type Remembered } from '../solve';

const nothing: Taken = [[], []];

/** How badly the members that a choice leaves out are missed, among other choices of its wish. */
export function missedBy(choice: Choice): number {
	return leftBy(choice).reduce((sum, member) => sum + missed[importanceOf(member)], 0);
}

function priceOf(choice: Choice): number {
	return choice.discomfort + missedBy(choice);
}

/** What is taken, counted from the block's first dots: over a spread it lies against the fold. */
function onBlock({ room: own }: Choice, room: Room, [left, right]: Taken): Taken {
	if (own.span === 'page' || room.span === 'page') return [left, right];
	const outer = room.left.w - own.left.w;
	return [left.map((rect) => ({ ...rect, x: rect.x - outer })), right];
}

/**
 * All choices of a wish in a room with its members in the rooms that it leaves, the best first: the fewest and least
 * important left out, then the least discomfort, that of the members included. `thorough` as for the wish alone; members
 * keep clear of what is `taken`. Rooms `beside` the block are the page's.
 */
export function choicesIn(
	plan: Plan,
	wish: Wish,
	room: Room,
	thorough = false,
	taken: Taken = nothing,
	beside: readonly RoomPlace[] = []
): readonly Choice[] {
	const { month, weekStart, hand, locale, titles } = plan;
	const name = JSON.stringify([
		...[wish, room, thorough, taken, beside],
		...[month, weekStart, hand, locale, titles, expectedOf(plan, wish)]
	]);
	let known = remembered.get(name);
	if (!known) {
		if (remembered.size >= mostRemembered) remembered.clear();
		known = counted(name, () => choicesAnew(plan, wish, room, thorough, taken, beside));
		remembered.set(name, known);
	}
	used(known.took);
	return known.value;
}

/** Choices by all that they follow from: what was worked out for one run serves the next. */
const remembered = new Map<
	string,
	{ readonly value: readonly Choice[]; readonly took: Remembered }
>();
const mostRemembered = 5000;

/**
 * Members of a wish; of a week's those that are seen all through the set only where a page has a room for them. Where nothing
 * lies over both pages they stand wherever they fit.
 */
function membersHere(wish: Wish, beside: readonly RoomPlace[]): readonly Wish[] {
	const { members = [], part } = wish;
	const here = members.filter(
		({ room }) => !part || !isShared(room) || beside.some(({ name }) => name === room)
	);
	const over = formsOf(wish).some(({ rooms = [] }) => rooms.some(({ name }) => name === bothPages));
	return over ? here : here.map(anywhere);
}

function anywhere(member: Wish): Wish {
	const { room, ...rest } = member;
	return room === bothPages ? rest : member;
}

/** Whether a room is one that is seen all through a set of weeks. */
export function isShared(room: string | undefined): boolean {
	return Object.values(sharedRooms).some((name) => name === room);
}

function choicesAnew(
	plan: Plan,
	wish: Wish,
	room: Room,
	thorough: boolean,
	taken: Taken,
	beside: readonly RoomPlace[]
): readonly Choice[] {
	const choices = ruledIn(plan, wish, room, thorough);
	const members = membersHere(wish, beside);
	if (members.length === 0) return choices;
	const guests = new Guests((member, there) => choicesIn(plan, member, there), members);
	return choices
		.map((choice): Choice => {
			const rooms = [...(choice.rooms ?? []), ...beside];
			const inside = guests.inside({ ...choice, rooms }, onBlock(choice, room, taken));
			return { ...choice, discomfort: choice.discomfort + inside.discomfort, inside };
		})
		.sort((a, b) => priceOf(a) - priceOf(b));
}

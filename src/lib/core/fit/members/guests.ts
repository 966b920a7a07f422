import { bothPages, type Room, type RoomPlace } from '../../forms';
import { overlaps, type Rect, type Size } from '../../paper';
import type { Importance, Wish } from '../../wish';
import { asMember } from './as-member';
import { importanceOf, rectsOf, type Choice, type Guest, type Inside } from '../choices/choices';
import { footprintOf, type Taken } from './footprint';
import { clearOf, withoutAir } from '../choices/free-in-room';
import { bandsOver } from './over-both';
import { packed } from './packed';
import { shapeOf, shelve, type Sized } from './shelves';

/** So many ways to leave members out are tried, the least missed first. */
const mostTries = 200;
/** Of more members only the last ones may be left out: each of them doubles the ways. */
const mostLeft = 10;

/** How badly a member is missed among choices of one wish. */
export const missed: Readonly<Record<Importance, number>> = {
	must: 1_000_000,
	want: 10_000,
	spare: 60
};

/** A room, what is free of it, and what is taken on its page. */
interface There {
	readonly place: RoomPlace;
	readonly free: Rect;
	readonly taken: readonly Rect[];
}

/** A room with the members that are to stand in it. */
interface Filled {
	readonly guests: readonly Guest[];
	readonly discomfort: number;
	readonly shape: number;
}

const nobody: Filled = { guests: [], discomfort: 0, shape: 0 };

function together(a: Filled, b: Filled): Filled {
	return {
		guests: [...a.guests, ...b.guests],
		discomfort: a.discomfort + b.discomfort,
		shape: a.shape + b.shape
	};
}

/**
 * Members looking for their places, each ruled as `choicesIn` says; what was tried is remembered across the layouts of
 * their host.
 */
export class Guests {
	private readonly members: readonly Wish[];
	private readonly sizes = new Map<string, Choice | undefined>();
	private readonly filled = new Map<string, Filled | undefined>();

	constructor(
		private readonly choicesIn: (wish: Wish, room: Room) => readonly Choice[],
		members: readonly Wish[]
	) {
		this.members = members.map(asMember);
	}

	/**
	 * Members in the rooms of a layout, in their order from room to room, but for those meant for one of them. What lies over
	 * both pages stands above the others.
	 */
	inside({ room, rooms = [] }: Choice, taken: Taken): Inside {
		const all = [...this.members.keys()];
		const wide = all.filter((member) => this.member(member).room === bothPages);
		const others = all.filter((member) => !wide.includes(member));
		let best: Inside | undefined;
		for (const { guests, left, discomfort } of bandsOver(
			room,
			rooms,
			wide.map((member) => this.member(member)),
			others.length > 0,
			this.choicesIn
		)) {
			const below: Taken = [
				[...taken[0], ...guests.flatMap((guest) => rectsOf(guest, 0))],
				[...taken[1], ...guests.flatMap((guest) => rectsOf(guest, 1))]
			];
			const among = this.among(room, rooms, below, others);
			const found: Inside = {
				guests: [...guests, ...among.guests],
				left: [...left, ...among.left],
				discomfort: discomfort + among.discomfort
			};
			if (!best || priceOf(found) < priceOf(best)) best = found;
		}
		return best ?? { guests: [], discomfort: 0, left: this.members };
	}

	/** Some members in the rooms of a layout, around what is taken there. */
	private among(
		room: Room,
		rooms: readonly RoomPlace[],
		taken: Taken,
		all: readonly number[]
	): Inside {
		const sizeOn = (on: 0 | 1): Size =>
			room.span === 'page' ? room : on === 0 ? room.left : room.right;
		const places = rooms.map((place) => ({
			place,
			free: clearOf(withoutAir(place, sizeOn(place.on)), taken[place.on]),
			taken: taken[place.on]
		}));
		const possible = all.filter((member) =>
			places.some((there) => this.isFor(member, there.place, rooms) && this.fill(there, [member]))
		);
		for (const left of this.leavings(possible)) {
			const found = this.place(
				places,
				rooms,
				possible.filter((member) => !left.includes(member))
			);
			if (found)
				return {
					guests: found.guests,
					discomfort: found.discomfort,
					left: all
						.filter((member) => !possible.includes(member) || left.includes(member))
						.map((member) => this.member(member))
				};
		}
		return { guests: [], discomfort: 0, left: all.map((member) => this.member(member)) };
	}

	/** Members to leave out, the least missed first, later ones before earlier ones. */
	private *leavings(members: readonly number[]): Generator<readonly number[]> {
		const weight = (some: readonly number[]) =>
			some.reduce((sum, member) => sum + missed[importanceOf(this.member(member))], 0);
		let some: (readonly number[])[] = [[]];
		for (const member of members.slice(-mostLeft))
			some = some.flatMap((left) => [left, [...left, member]]);
		yield* some.sort((a, b) => weight(a) - weight(b)).slice(0, mostTries);
	}

	/** All of some members in rooms; undefined where they do not fit. */
	private place(
		places: readonly There[],
		rooms: readonly RoomPlace[],
		members: readonly number[]
	): Filled | undefined {
		const bound = (member: number) => rooms.find(({ name }) => name === this.member(member).room);
		const loose = members.filter((member) => !bound(member));
		const from = (at: number, next: number): Filled | undefined => {
			const here = places[at];
			if (!here) return next === loose.length ? nobody : undefined;
			const own = members.filter((member) => bound(member) === here.place);
			let best: Filled | undefined;
			for (let end = next; end <= loose.length; end++) {
				const some = [...own, ...loose.slice(next, end)].sort((a, b) => a - b);
				const filled = this.fill(here, some);
				if (!filled) break;
				const rest = from(at + 1, end);
				if (!rest) continue;
				const found = together(filled, rest);
				if (!best || found.discomfort < best.discomfort || wellShaped(found, best)) best = found;
			}
			return best;
		};
		return from(0, 0);
	}

	/** Some members in one room. */
	private fill(there: There, members: readonly number[]): Filled | undefined {
		if (members.length === 0) return nobody;
		const { free } = there;
		if (free.w < 1 || free.h < 1) return undefined;
		const name = JSON.stringify([there, members]);
		if (!this.filled.has(name)) this.filled.set(name, this.filling(there, members));
		return this.filled.get(name);
	}

	private filling(
		{ place, free, taken: around }: There,
		members: readonly number[]
	): Filled | undefined {
		const held = members.filter((member) => this.member(member).spot);
		const fixed = held.flatMap((member) => this.held(place, member) ?? []);
		const clash = fixed.some(({ rect }, at) =>
			[...around, ...fixed.slice(at + 1).map((other) => other.rect)].some((other) =>
				overlaps(rect, other)
			)
		);
		if (fixed.length < held.length || clash) return undefined;
		const others = members.filter((member) => !held.includes(member));
		if (others.length === 0) return filledBy(fixed);
		const taken = fixed.map(({ rect }) => rect);
		if (taken.length === 0) return this.sharing(place, free, others);
		const found =
			this.keepingPlaces(place, free, members, held, taken) ??
			this.sharing(place, free, others, taken) ??
			this.sharing(place, clearOf(free, taken), others);
		return found && together(filledBy(fixed), found);
	}

	/** A member that a person has fixed in a room, where it fits there. */
	private held(place: RoomPlace, member: number): Guest | undefined {
		const { spot } = this.member(member);
		if (!spot) return undefined;
		const most = { w: spot.w ?? place.w - spot.x, h: spot.h ?? place.h - spot.y };
		const choice = this.choice(member, most);
		if (choice?.room.span !== 'page') return undefined;
		const { w, h } = { ...choice.room, ...spot };
		if (spot.x + w > place.w || spot.y + h > place.h) return undefined;
		const rect = { x: place.x + spot.x, y: place.y + spot.y, w, h };
		return { choice, room: place.name, on: place.on, rect };
	}

	/** Members that nothing holds where they would stand if nothing were held, as long as what is held leaves them alone. */
	private keepingPlaces(
		place: RoomPlace,
		free: Rect,
		members: readonly number[],
		held: readonly number[],
		taken: readonly Rect[]
	): Filled | undefined {
		const all = this.sharing(place, free, members);
		const others = all?.guests.filter((_, at) => !held.includes(members[at] ?? -1)) ?? [];
		const hit = others.some(({ rect }) => taken.some((other) => overlaps(rect, other)));
		return all && !hit ? filledBy(others) : undefined;
	}

	/** Members that share a rectangle of a room: in rows or columns, or packed, around what is taken there. */
	private sharing(
		{ name: room, on }: RoomPlace,
		free: Rect,
		members: readonly number[],
		taken: readonly Rect[] = []
	): Filled | undefined {
		if (free.w < 1 || free.h < 1) return undefined;
		const sizeOf = (index: number, size: Size) => this.sized(members[index] ?? 0, size);
		const obstacles = taken.map((rect) => ({ ...rect, x: rect.x - free.x, y: rect.y - free.y }));
		const shelves =
			(obstacles.length === 0 ? shelve(free, members.length, sizeOf) : undefined) ??
			packed(free, members.length, sizeOf, obstacles);
		if (!shelves) return undefined;
		const guests = members.flatMap((member, index): Guest[] => {
			const rect = shelves.rects[index];
			const choice = rect && this.choice(member, rect);
			return choice
				? [{ choice, room, on, rect: { ...rect, x: free.x + rect.x, y: free.y + rect.y } }]
				: [];
		});
		return guests.length < members.length ? undefined : filledBy(guests);
	}

	private sized(member: number, size: Size): Sized | undefined {
		const choice = this.choice(member, size);
		const taken = choice && footprintOf(choice);
		if (choice === undefined || taken?.span !== 'page') return undefined;
		// A size that is asked for is taken exactly.
		const { w, h } = this.member(member).size ?? taken;
		return { w, h, discomfort: choice.discomfort };
	}

	private choice(member: number, { w, h }: Size): Choice | undefined {
		const name = `${member} ${w} ${h}`;
		if (!this.sizes.has(name)) {
			const wish = this.member(member);
			const fits = !wish.size || (wish.size.w <= w && wish.size.h <= h);
			const room: Room = { span: 'page', ...(wish.size ?? { w, h }) };
			this.sizes.set(name, fits ? this.choicesIn(wish, room)[0] : undefined);
		}
		return this.sizes.get(name);
	}

	private isFor(member: number, place: RoomPlace, rooms: readonly RoomPlace[]): boolean {
		const { room } = this.member(member);
		return place.name === room || !rooms.some(({ name }) => name === room);
	}

	private member(index: number): Wish {
		const member = this.members[index];
		if (!member) throw new RangeError(`no member ${index}`);
		return member;
	}
}

function filledBy(guests: readonly Guest[]): Filled {
	return {
		guests,
		discomfort: guests.reduce((sum, { choice }) => sum + choice.discomfort, 0),
		shape: shapeOf(guests.map(({ rect }) => rect))
	};
}

/** How badly members are missed, and then what discomfort there is. */
function priceOf({ left, discomfort }: Inside): number {
	return left.reduce((sum, member) => sum + missed[importanceOf(member)], discomfort);
}

/** Whether the first is of better shapes at the same comfort. */
function wellShaped(a: Filled, b: Filled): boolean {
	return a.discomfort === b.discomfort && a.shape > b.shape;
}

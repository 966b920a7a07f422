import type { Wish } from '../wish';
import { kindById, type Kind, type MemberStart } from './kinds';

/** A new wish of a kind with all that it starts with; its members get ids of their own from `freeId`. */
export function begin(kind: Kind, freeId: (kind: string) => string): Wish {
	const { members, ...start } = kind.start;
	const wish: Wish = { ...start, id: freeId(kind.id), kind: kind.id };
	return members ? { ...wish, members: members.map((member) => begun(member, freeId)) } : wish;
}

/** What a member starts with: its kind's start, but where it stands, and what its host says of it. */
export function begun(member: MemberStart, freeId: (kind: string) => string): Wish {
	const {
		span: _,
		filler: _filler,
		members: _members,
		...start
	} = kindById(member.kind)?.start ?? {};
	return { ...start, ...member, id: freeId(member.kind) };
}

/** Names ids after kinds: the kind, or with a number where that is taken. */
export function idGiver(taken: Iterable<string>): (kind: string) => string {
	const known = new Set(taken);
	return (kind) => {
		let id = kind;
		for (let count = 2; known.has(id); count++) id = `${kind}-${count}`;
		known.add(id);
		return id;
	};
}

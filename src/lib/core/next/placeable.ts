import type { Wish } from '../wish';
import type { Proposal } from './proposal';

/**
 * Which of some proposals can be taken one after the other without anything losing its place: `lost` says how many wishes find
 * no place. What would cost a place is left out; the others stand as if it had never been there.
 */
export async function placeable(
	base: readonly Wish[],
	proposals: readonly Proposal[],
	lost: (wishes: readonly Wish[]) => Promise<number | undefined>
): Promise<readonly string[] | undefined> {
	const most = await lost(base);
	if (most === undefined) return undefined;
	const taken: string[] = [];
	let wishes = base;
	for (const { id, change } of proposals) {
		const changed = change(wishes);
		const now = await lost(changed);
		if (now === undefined) return undefined;
		if (now > most) continue;
		taken.push(id);
		wishes = changed;
	}
	return taken;
}

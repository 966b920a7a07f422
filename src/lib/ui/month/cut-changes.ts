import type { Cut } from '$lib/core/cuts';
import { cutFor, holdAt, type Block, type KeptMonth, type Plan, type Run } from '$lib/core/fit';

/** What of a month changes with its cuts. */
type CutChange = Pick<KeptMonth, 'cuts' | 'wishes'>;

/** A cut made, or the one with its id changed, for what stands on its leaves; what is `held` stays where it lies around it. */
export function withCutMade(
	{ cuts = [], wishes }: KeptMonth,
	plan: Plan,
	run: Run,
	cut: Cut,
	held: readonly Block[]
): CutChange {
	const purpose = cutFor(run, cut);
	const { for: _, ...free } = cut;
	return {
		cuts: withCut(cuts, purpose ? { ...free, for: purpose } : free),
		wishes: held.reduce(
			(wishes, block) => holdAt({ ...plan, wishes }, run, block, block.pieces),
			wishes
		)
	};
}

/** The cuts with one that is made in the book and stays where it is, or is planned only, for what stands there now. */
export function withMade(
	cuts: readonly Cut[],
	run: Run,
	id: string,
	made: boolean
): readonly Cut[] {
	const cut = cuts.find((one) => one.id === id);
	if (!cut) return cuts;
	const { made: _, for: before, ...rest } = cut;
	const purpose = made ? before : cutFor(run, cut);
	return withCut(cuts, {
		...rest,
		...(purpose ? { for: purpose } : {}),
		...(made ? { made } : {})
	});
}

/** Cuts with one made, or the one with its id changed. */
export function withCut(cuts: readonly Cut[], cut: Cut): readonly Cut[] {
	return cuts.some(({ id }) => id === cut.id)
		? cuts.map((other) => (other.id === cut.id ? cut : other))
		: [...cuts, cut];
}

/** Cuts without one; no cuts are none, not an empty list, as the server keeps it. */
export function withoutCut(cuts: readonly Cut[], id: string): readonly Cut[] | undefined {
	const left = cuts.filter((cut) => cut.id !== id);
	return left.length > 0 ? left : undefined;
}

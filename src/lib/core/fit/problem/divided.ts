import type { Wish } from '../../wish';
import { partsOf, type Part } from '../choices/parts';
import { sheetsOf, type Sheet } from '../choices/sheets';
import { pricesFor, type Prices } from '../plan/aims';
import type { Plan } from '../plan/plan';
import { roundItsHole } from './holed-page';
import { blocksIn, daysLacking } from './losses';
import { facingPins, givesWay, onlyOverSpread, place, type Fixed } from './pinned';

/** Parts of a plan by what is known of their places. */
export interface Divided {
	readonly sheets: readonly Sheet[];
	/** Those whose place is open. */
	readonly free: readonly Part[];
	readonly fixed: readonly Fixed[];
	readonly impossible: readonly Part[];
}

/** Divides a plan's parts: what is pinned to a place stands, and what is drawn is none of them. */
export function dividedOf(plan: Plan): Divided {
	const sheets = sheetsOf(plan);
	const drawn = new Set(plan.drawn?.blocks.map(({ wish }) => partName(wish)));
	const parts = facingPins({ ...plan, wishes: roundItsHole(plan, sheets) })
		.flatMap((wish) => partsOf(plan, wish))
		.filter(({ wish }) => !drawn.has(partName(wish)))
		.map((part) => (givesWay(plan, part) ? { ...part, lacking: 1 } : part));
	const fixed: Fixed[] = [];
	const impossible: Part[] = [];
	const free: Part[] = [];
	for (const part of parts) {
		const { pin } = part.wish;
		const index = sheets.findIndex(({ page }) => page.number === pin?.page);
		if (!pin) free.push(part);
		else if (index < 0) impossible.push(part);
		else if (
			pin.x === undefined &&
			pin.y === undefined &&
			!onlyOverSpread(plan, part, sheets, index)
		)
			free.push(part);
		else {
			const placed = place(plan, part, sheets, index, fixed);
			if (placed) fixed.push(placed);
			else impossible.push(part);
		}
	}
	return { sheets, free, fixed, impossible };
}

/** Prices of a plan by its aim, and by how much there is to place. @throws RangeError where it is too much to be weighed */
export function pricesOf(plan: Plan, { free, sheets }: Divided): Prices {
	return pricesFor(plan.aim, blocksIn(free), sheets.length, daysLacking(free));
}

/** Why a plan is too large to be weighed at all; nothing where it can be. */
export function tooLarge(plan: Plan): string | undefined {
	try {
		pricesOf(plan, dividedOf(plan));
		return undefined;
	} catch (error) {
		if (error instanceof RangeError) return error.message;
		throw error;
	}
}

/** What tells a part from all others: the wish, the week and the page of the week. */
export function partName({ id, part }: Wish): string {
	return part ? `${id} ${part.week} ${part.page}` : id;
}

import { kindById, purposes } from '../../catalogue';
import { ownBlocks, type Plan, type Run } from '../plan/plan';

/** A page on which things of different purposes stand, and why. */
export interface SharedPage {
	readonly page: number;
	readonly why: string;
}

/** Pages of a run that strangers share, each with the reason in words. */
export function sharedPages(plan: Plan, run: Run): SharedPage[] {
	const drawn = new Set(plan.drawn?.pages);
	return run.pages.flatMap(({ number }): SharedPage[] => {
		if (drawn.has(number)) return [];
		const here = ownBlocks(run).filter(({ pieces }) => pieces.some(({ page }) => page === number));
		const own = new Set(
			here.flatMap(({ as }) => {
				const kind = kindById(as.kind);
				return kind && !kind.joins ? [kind.purpose] : [];
			})
		);
		const names = purposes.filter(({ id }) => own.has(id)).map(({ name }) => name.toLowerCase());
		if (names.length < 2) return [];
		const reason = here.some(({ as }) => as.pin)
			? 'something is kept there'
			: plan.aim === 'fewest-pages'
				? 'this aim saves pages before all else'
				: 'parting them would take more pages, or squares, than it gives';
		return [{ page: number, why: `${names.join(' and ')}: ${reason}` }];
	});
}

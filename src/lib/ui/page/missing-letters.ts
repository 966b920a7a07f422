import { type Plan, type Run } from '$lib/core/fit';
import { pageKey, pageMarks } from '$lib/core/page';
import { missingLetters, type Coverage } from '$lib/core/hand';

const mostKnown = 500;

/**
 * Which letters of a page no font has. What was found is kept by how the page is drawn: most pages stay as they are
 * from one run to the next.
 */
export function rememberedLetters(): (
	plan: Plan,
	run: Run,
	page: number,
	coverage: Coverage
) => readonly string[] {
	const known = new Map<string, readonly string[]>();
	let knownFor: Coverage | undefined;
	return (plan, run, page, coverage) => {
		if (knownFor !== coverage || known.size > mostKnown) known.clear();
		knownFor = coverage;
		const key = pageKey(plan, run, page);
		const found =
			known.get(key) ??
			missingLetters(
				pageMarks(plan, run, page).flatMap((mark) => (mark.kind === 'text' ? [mark] : [])),
				coverage
			);
		known.set(key, found);
		return found;
	};
}

import type { Problem } from '../../src/lib/core/fit/solve';
import { fitsByRelations } from './pack-by-relations';

/**
 * The choice among page patterns as an integer program in CPLEX LP format: runs are paths through
 * (items done, side of the page), a page's pattern is a row of items and some fillers that share it.
 * Patterns are priced by trying all their options in order of price. For even pages that suffice for
 * everything and spreads that take whole pages.
 */
export function patternModel(problem: Problem): string {
	const { items, pageCost } = problem;
	const page = problem.pages[0];
	if (!page) return '';
	const ordered = [...items.keys()].filter((index) => !items[index]?.filler);
	const fillers = [...items.keys()].filter((index) => items[index]?.filler);
	const edges: { from: string; to: string; cost: number; fillers: readonly number[] }[] = [];
	for (let next = 0; next <= ordered.length; next++)
		for (const side of ['l', 'r'] as const) {
			const other = side === 'l' ? 'r' : 'l';
			edges.push({ from: `${next}${side}`, to: `${next}${other}`, cost: pageCost, fillers: [] });
			const spread = items[ordered[next] ?? -1]?.spreads[0]?.[0];
			if (spread && side === 'l')
				edges.push({
					from: `${next}l`,
					to: `${next + 1}l`,
					cost: 2 * pageCost + spread.cost,
					fillers: []
				});
			for (let count = 0; next + count <= ordered.length; count++) {
				const row = ordered.slice(next, next + count);
				let any = false;
				for (const some of subsets(fillers)) {
					if (row.length + some.length === 0) continue;
					if (!inStretch(problem, some, ordered, next, next + count)) continue;
					const price = priceOf(problem, [...row, ...some]);
					if (price === undefined) continue;
					any = true;
					const to = `${next + count}${other}`;
					edges.push({ from: `${next}${side}`, to, cost: pageCost + price, fillers: some });
				}
				if (count > 0 && !any) break;
			}
		}
	const name = (index: number) => `e${index}`;
	const nodes = new Set(edges.flatMap(({ from, to }) => [from, to]));
	const rows = [...nodes].map((node) => {
		const out = edges.flatMap(({ from }, index) => (from === node ? [`+ ${name(index)}`] : []));
		const into = edges.flatMap(({ to }, index) => (to === node ? [`- ${name(index)}`] : []));
		const end =
			node.startsWith(`${ordered.length}`) && node.length === `${ordered.length}`.length + 1;
		return `${[...out, ...into, ...(end ? [`+ end${node}`] : [])].join(' ')} = ${node === '0l' ? 1 : 0}`;
	});
	for (const filler of fillers) {
		const placed = edges.flatMap((edge, index) =>
			edge.fillers.includes(filler) ? [name(index)] : []
		);
		rows.push(`${placed.join(' + ')} = 1`);
	}
	return [
		'Minimize',
		` obj: ${edges.map(({ cost }, index) => `${cost} ${name(index)}`).join(' + ')}`,
		'Subject To',
		...rows.map((row, index) => ` r${index}: ${row}`),
		'Binary',
		` ${[...edges.keys()].map(name).join(' ')} end${ordered.length}l end${ordered.length}r`,
		'End'
	].join('\n');
}

/** Whether fillers may share a page on which the order goes from one place to another; everything is placed. */
function inStretch(
	{ items }: Problem,
	fillers: readonly number[],
	ordered: readonly number[],
	from: number,
	to: number
): boolean {
	return fillers.every((filler) => {
		const { stretch } = items[filler] ?? {};
		if (!stretch) return true;
		const [before, after] = [ordered.slice(0, from), ordered.slice(to)];
		return before.every((item) => item < stretch.to) && after.every((item) => item >= stretch.from);
	});
}

function subsets(items: readonly number[]): number[][] {
	return items.reduce<number[][]>(
		(all, item) => [...all, ...all.map((some) => [...some, item])],
		[[]]
	);
}

/** Least price at which items share a page: choices in order of price, until one can be packed. */
function priceOf(problem: Problem, members: readonly number[]): number | undefined {
	const page = problem.pages[0];
	if (!page || members.length > 8) return undefined;
	let choices: { cost: number; sizes: { w: number; h: number }[] }[] = [{ cost: 0, sizes: [] }];
	const areaOf = (sizes: { w: number; h: number }[]) =>
		sizes.reduce((sum, { w, h }) => sum + w * h, 0);
	for (const member of members)
		choices = choices
			.flatMap(({ cost, sizes }) =>
				(problem.items[member]?.options[0] ?? []).map((option) => ({
					cost: cost + option.cost,
					sizes: [...sizes, option]
				}))
			)
			.filter(({ sizes }) => areaOf(sizes) <= page.w * page.h);
	choices.sort((a, b) => a.cost - b.cost);
	const found = choices.find(({ sizes }) => fitsByRelations(page, sizes));
	const purposes = new Set(members.flatMap((member) => problem.items[member]?.purpose ?? []));
	const company = (problem.company?.purpose ?? 0) * Math.max(0, purposes.size - 1);
	return found && found.cost + company;
}

import { kinds } from '../../src/lib/core/catalogue';
import type { Plan, Run } from '../../src/lib/core/fit';
import type { Weeks, Wish } from '../../src/lib/core/wish';

/** Kinds that move freely unless a wish says otherwise. */
const fillerKinds = new Set(kinds.filter(({ filler }) => filler).map(({ id }) => id));
/** Of these those that do so only where pages come first. */
const freeWriting = ['brain-dump', 'notes', 'affirmations', 'project-page', 'topic-to-study'];

function movesFreely({ aim }: Plan, wish: Wish | undefined): boolean {
	if (!wish || hasOwnPages(wish)) return false;
	if (wish.filler !== undefined) return wish.filler;
	return fillerKinds.has(wish.kind) && (aim === 'fewest-pages' || !freeWriting.includes(wish.kind));
}

const hasOwnPages = ({ alone, pin }: Wish) => alone ?? pin?.alone ?? false;

/**
 * Judges a run by the rules alone; shares no code with the planner. Gives every rule that is broken.
 */
export function brokenRules(plan: Plan, run: Run): string[] {
	const broken: string[] = [];
	const { notebook } = plan;
	const grid = (number: number) => {
		const own = notebook.pages?.find((page) => page.number === number);
		return {
			columns: own?.columns ?? notebook.columns,
			rows: own?.rows ?? notebook.rows,
			free:
				own?.state === undefined &&
				notebook.freePages.some((range) => range.first <= number && number <= range.last)
		};
	};
	const taken = new Map<string, string[]>();
	const perPage = new Map<number, number>();
	const hosts = new Map(
		plan.wishes.flatMap((wish) => membersIn(wish).map(({ id, host }) => [id, host] as const))
	);
	/** Whether one lives in the other, however deep. */
	const lives = (inner: string, outer: string): boolean => {
		const host = hosts.get(inner);
		return host !== undefined && (host === outer || lives(host, outer));
	};
	for (const block of run.blocks) {
		if (block.host?.wish !== hosts.get(block.wish) && !block.drawnWith)
			broken.push(`${block.wish} does not live where it should`);
		const home = run.blocks.find(
			({ wish, as }) => wish === block.host?.wish && as.part?.week === block.as.part?.week
		);
		if (home && !block.pieces.every(({ page }) => home.pieces.some((own) => own.page === page)))
			broken.push(`${block.wish} is not on a page of ${home.wish}`);
		for (const { page, rect } of block.pieces) {
			const { columns, rows, free } = grid(page);
			if (!block.host) perPage.set(page, (perPage.get(page) ?? 0) + 1);
			if (!free) broken.push(`${block.wish} lies on page ${page}, which is not free`);
			if (![rect.x, rect.y, rect.w, rect.h].every(Number.isInteger))
				broken.push(`${block.wish} is not in whole squares`);
			if (rect.x < 0 || rect.y < 0 || rect.x + rect.w > columns || rect.y + rect.h > rows)
				broken.push(`${block.wish} leaves page ${page}`);
			for (let x = rect.x; x < rect.x + rect.w; x++)
				for (let y = rect.y; y < rect.y + rect.h; y++) {
					const square = `${page} ${x} ${y}`;
					const there = taken.get(square) ?? [];
					for (const other of there)
						if (!lives(block.wish, other) && !lives(other, block.wish))
							broken.push(`${block.wish} lies on ${other}`);
					taken.set(square, [...there, block.wish]);
				}
		}
		const [left, right] = block.pieces;
		// Weekly pages are there once a week, and so are their members.
		const alike = run.blocks.filter(
			({ wish, as }) =>
				wish === block.wish &&
				as.part?.week === block.as.part?.week &&
				as.part?.page === block.as.part?.page
		);
		const weekly = plan.wishes.find(({ id }) => id === block.wish)?.weeks !== undefined;
		if (!weekly && alike.length > 1) broken.push(`${block.wish} is there twice`);
		if (right && (left.page % 2 !== 0 || right.page !== left.page + 1))
			broken.push(`${block.wish} lies over pages ${left.page} and ${right.page}`);
		const wish = plan.wishes.find(({ id }) => id === block.wish);
		if (wish?.side === 'left' && left.page % 2 !== 0) broken.push(`${wish.id} is not on the left`);
		if (wish?.side === 'right' && left.page % 2 !== 1)
			broken.push(`${wish.id} is not on the right`);
		const filler = movesFreely(plan, wish);
		if (wish?.pin && left.page !== wish.pin.page) broken.push(`${wish.id} left its page`);
		if (wish?.pin?.x !== undefined && wish.pin.y !== undefined)
			if (left.rect.x !== wish.pin.x || left.rect.y !== wish.pin.y)
				if (block.room.span === 'page') broken.push(`${wish.id} left its place`);
		for (const other of run.blocks)
			if (
				wish &&
				(hasOwnPages(wish) || (wish.weeks && !wish.size)) &&
				other !== block &&
				!lives(other.wish, block.wish) &&
				other.pieces.some(({ page }) => block.pieces.some((own) => own.page === page))
			)
				if (!plan.wishes.some(({ id, pin }) => id === other.wish && pin))
					broken.push(`${other.wish} lies on a page of ${wish.id} alone`);
		// What a person has sized by hand holds before the size that was asked for.
		const size = wish?.pin?.w === undefined ? wish?.size : { w: wish.pin.w, h: wish.pin.h };
		// Over the fold a size means rows.
		const wrong = size && ((!right && left.rect.w !== size.w) || left.rect.h !== size.h);
		// Of a wish with members a size is that of all together.
		if (wrong && !filler && !wish?.members) broken.push(`${block.wish} has not the size asked for`);
	}
	for (const [page, count] of perPage)
		if (count > 8) broken.push(`page ${page} holds ${count} wishes`);
	// Nothing faces what lies over both pages.
	const single = plan.wishes.filter(({ weeks, span }) => weeks === undefined && span !== 'spread');
	const linked = new Set(
		single.flatMap(({ id, facing }) =>
			facing === undefined || !single.some((other) => other.id === facing) ? [] : [id, facing]
		)
	);
	const ordered = run.blocks.filter(({ wish: id, pieces }) => {
		const wish = plan.wishes.find((other) => other.id === id);
		const filler = movesFreely(plan, wish);
		const drawn = pieces.some(({ page }) => plan.drawn?.pages.includes(page));
		return wish && !drawn && !wish.pin && !linked.has(id) && !(filler && !wish.weeks);
	});
	let last = 0;
	for (const { wish, pieces } of ordered) {
		const { page } = pieces[0];
		if (page < last) broken.push(`${wish} stands before what comes before it`);
		last = page;
	}
	for (const { id, facing } of single) {
		const own = run.blocks.find(({ wish }) => wish === id)?.pieces[0].page;
		const other = run.blocks.find(({ wish }) => wish === facing)?.pieces[0].page;
		if (own === undefined || other === undefined || facing === id) continue;
		if (!single.some((wish) => wish.id === facing)) continue;
		if (Math.abs(own - other) !== 1 || Math.min(own, other) % 2 !== 0)
			broken.push(`${id} does not face ${facing}`);
	}
	for (const { id, host } of plan.wishes.flatMap(membersIn)) {
		const placed = run.blocks.filter((block) => block.wish === id).length;
		const lost = run.unplaced.filter((unplaced) => unplaced.wish === id).length;
		// What its host loses goes with it.
		const hosts = run.blocks.filter((block) => block.wish === host && !block.drawnWith);
		const weekly = plan.wishes.some((wish) => wish.id === host && wish.weeks);
		// What is seen all through a set is there once.
		if (weekly && placed + lost === 1) continue;
		const wanted = weekly ? hosts.length : Math.min(1, hosts.length);
		if (placed + lost !== wanted && !run.blocks.some(({ drawnWith }) => drawnWith))
			broken.push(`${id} is placed ${placed} and lost ${lost} times of ${wanted} in ${host}`);
	}
	for (const wish of plan.wishes) {
		const placed = run.blocks.filter((block) => block.wish === wish.id).length;
		const lost = run.unplaced.filter((unplaced) => unplaced.wish === wish.id).length;
		const wanted = wish.weeks ? weeklyBlocks(plan, wish.weeks) : 1;
		if (placed + lost !== wanted)
			broken.push(`${wish.id} is placed ${placed} and lost ${lost} times of ${wanted}`);
	}
	return broken;
}

/** What lives in a wish, and in what of it. */
function membersIn(wish: Wish): { readonly id: string; readonly host: string }[] {
	return (wish.members ?? []).flatMap((member) => [
		{ id: member.id, host: wish.id },
		...membersIn(member)
	]);
}

/** Blocks of a weekly set, counted day by day on the calendar of the platform. */
function weeklyBlocks(plan: Plan, { belong, short, pagesPerWeek }: Weeks): number {
	const { year, month } = plan.month;
	const inMonth = (date: Date) => date.getUTCMonth() === month - 1;
	const day = new Date(Date.UTC(year, month - 1, 1));
	const start = { sunday: 0, monday: 1, saturday: 6 }[plan.weekStart];
	while (day.getUTCDay() !== start) day.setUTCDate(day.getUTCDate() - 1);
	const weeks: { inside: number; belongs: boolean }[] = [];
	const end = Date.UTC(year, month, 1);
	while (day.getTime() < end) {
		const dates = Array.from({ length: 7 }, (_, index) => {
			const date = new Date(day);
			date.setUTCDate(day.getUTCDate() + index);
			return date;
		});
		const deciding = {
			touching: dates,
			'first-day': dates.slice(0, 1),
			'middle-day': dates.slice(3, 4)
		};
		weeks.push({
			inside: dates.filter(inMonth).length,
			belongs: deciding[belong].some(inMonth)
		});
		day.setUTCDate(day.getUTCDate() + 7);
	}
	const own = weeks.filter(({ belongs }) => belongs);
	// Only weeks that touch the month are ever short.
	const full = own.filter(({ inside }) => inside > 3 || belong !== 'touching').length;
	const perWeek = pagesPerWeek === 4 ? 4 : 1;
	if (short === 'own' || full === 0) return full * perWeek + (own.length - full);
	return full * perWeek;
}

import type { Page } from '../../paper';

/** Pages that were asked for, or what is wrong with how. */
export type PageList =
	| { readonly ok: true; readonly pages: readonly Page[] }
	| { readonly ok: false; readonly message: string };

/**
 * The pages of a list such as “64–67, 70”, in the order of the book; of an empty list all. A page that is not there is
 * named, with those that are.
 */
export function listedPages(text: string, pages: readonly Page[]): PageList {
	const parts = text.split(/[,;]/).filter((part) => part.trim() !== '');
	if (parts.length === 0) return { ok: true, pages };
	const wanted = new Set<number>();
	for (const part of parts) {
		const range = /^\s*(\d{1,4})\s*(?:[-–]\s*(\d{1,4})\s*)?$/.exec(part);
		if (!range)
			return { ok: false, message: `must be pages such as 64–67, 70; “${part.trim()}” is none` };
		const [first, last] = [Number(range[1]), Number(range[2] ?? range[1])];
		if (last < first)
			return { ok: false, message: `must go forwards: “${part.trim()}” ends before it begins` };
		for (const number of [first, last])
			if (!pages.some((page) => page.number === number))
				return { ok: false, message: noSuchPage(pages, String(number)) };
		for (let number = first; number <= last; number++) wanted.add(number);
	}
	return { ok: true, pages: pages.filter(({ number }) => wanted.has(number)) };
}

/** What to say of a page that is not among these. */
export function noSuchPage(pages: readonly Page[], number: string): string {
	const [first, last] = [pages[0]?.number, pages.at(-1)?.number];
	const have =
		first === undefined ? 'the run has no page' : `the run has pages ${first} to ${last}`;
	return `${have}; “${number}” is none of them`;
}

/** Pages as one writes them: “64–67, 70”. */
export function pageList(numbers: readonly number[]): string {
	const ranges: [number, number][] = [];
	for (const number of numbers) {
		const last = ranges.at(-1);
		if (last && last[1] === number - 1) last[1] = number;
		else ranges.push([number, number]);
	}
	return ranges.map(([from, to]) => (from === to ? `${from}` : `${from}–${to}`)).join(', ');
}

import { purposes, type Purpose } from '../../catalogue';
import { monthTitle } from '../../month';
import { kindOf } from './choices';
import { ownBlocks, type Block, type Plan, type Run } from '../plan/plan';

/** A line of the book's index. */
export interface IndexLine {
	readonly title: string;
	readonly first: number;
	readonly last: number;
}

/** What a block is called: its title, or its kind's name; the cover is called after the month. */
export function titleOf(plan: Plan, { as }: Block): string {
	if (as.title) return as.title;
	return as.kind === 'cover' ? monthTitle(plan.locale, plan.month) : kindOf(as).name;
}

/** Lines for the book's index in page order: one for each title, weekly pages together. */
export function indexLines(plan: Plan, run: Run): IndexLine[] {
	const lines = new Map<string, IndexLine>();
	for (const block of ownBlocks(run)) {
		const pages = block.pieces.map(({ page }) => page);
		const known = lines.get(block.wish);
		lines.set(block.wish, {
			title: titleOf(plan, block),
			first: Math.min(...pages, known?.first ?? Infinity),
			last: Math.max(...pages, known?.last ?? 0)
		});
	}
	return [...lines.values()].sort((a, b) => a.first - b.first || a.last - b.last);
}

/** Index lines as text, ready to be copied: the pages, then the title. */
export function indexText(lines: readonly IndexLine[]): string {
	return lines
		.map(({ title, first, last }) => `${first === last ? first : `${first}–${last}`}\t${title}`)
		.join('\n');
}

/** Pages in a row that serve one purpose. */
export interface Section {
	readonly purpose: Purpose;
	readonly name: string;
	readonly first: number;
	readonly last: number;
}

/** The run's sections: each page belongs to the purpose of its largest block; blank ones go with the page before. */
export function sectionsOf(run: Run): Section[] {
	const sections: Section[] = [];
	for (const { number } of run.pages) {
		const purpose = purposeOn(run, number);
		const last = sections.at(-1);
		if (last && (purpose === undefined || purpose === last.purpose))
			sections[sections.length - 1] = { ...last, last: number };
		else if (purpose !== undefined) {
			const name = purposes.find(({ id }) => id === purpose)?.name ?? purpose;
			// A page left free before the cover belongs to the opening.
			const first = last ? number : (run.pages[0]?.number ?? number);
			sections.push({ purpose, name, first, last: number });
		}
	}
	return sections;
}

function purposeOn(run: Run, page: number): Purpose | undefined {
	let largest = 0;
	let purpose: Purpose | undefined;
	for (const { as, pieces } of ownBlocks(run))
		for (const piece of pieces) {
			const area = piece.rect.w * piece.rect.h;
			if (piece.page !== page || area <= largest) continue;
			largest = area;
			purpose = kindOf(as).purpose;
		}
	return purpose;
}

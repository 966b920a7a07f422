import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { often } from '../support/effort';
import type { Cut } from '../../src/lib/core/cuts';
import { planRun, type Plan } from '../../src/lib/core/fit';
import { pageMarks } from '../../src/lib/core/page';
import { correctionFor, dotMm, pageOf } from '../../src/lib/core/paper';
import { pageGuide, tickStrips } from '../../src/lib/core/guide';
import { placesOn } from '../../src/lib/core/render/pages/sheet-places';
import { renderSheets } from '../../src/lib/core/render/out/sheets-pdf';
import { renderStrips } from '../../src/lib/core/render/out/strips-pdf';
import { renderPdf } from '../../src/lib/core/render/out/pdf';
import { sheetsMm } from '../../src/lib/core/render';
import { renderCheckSheet } from '../../src/lib/core/render/out/check-sheet';
import { checkSheetFont, faces } from '../../src/lib/server/answer/fonts';
import { anyPlan, demoPlan } from '../support/arbitraries';
import { readPdf } from '../support/read-pdf';
import { straightStrokes } from '../support/strokes';

// Referee: pdf.js reads the files back.
const toleranceMm = 0.01;

/** Everything on every page of a plan's PDF against the notebook's dots. */
async function compare(plan: Plan) {
	const run = planRun(plan);
	const { pages, fonts } = await readPdf(await renderPdf(plan, run, faces()));
	expect(pages).toHaveLength(Math.max(1, run.pages.length));
	run.pages.forEach((page, index) => {
		const read = pages[index];
		if (!read) throw new Error('a page is missing');
		expect(Math.abs(read.widthMm - plan.notebook.pageMm.width)).toBeLessThan(toleranceMm);
		expect(Math.abs(read.heightMm - plan.notebook.pageMm.height)).toBeLessThan(toleranceMm);
		const { columns, rows } = pageOf(plan.notebook, page.number);
		expect(read.dots).toHaveLength((columns + 1) * (rows + 1));
		read.dots.forEach((dot, at) => {
			const x = at % (columns + 1);
			const wanted = dotMm(plan.notebook, page.side, { x, y: Math.floor(at / (columns + 1)) });
			expect(Math.hypot(dot.x - wanted.x, dot.y - wanted.y)).toBeLessThan(toleranceMm);
		});
		const lines = straightStrokes(pageMarks(plan, run, page.number));
		expect(read.strokes).toHaveLength(lines.length);
		lines.forEach((line, at) => {
			const from = dotMm(plan.notebook, page.side, line.from);
			const to = dotMm(plan.notebook, page.side, line.to);
			const stroke = read.strokes[at];
			if (!stroke) throw new Error('a stroke is missing');
			expect(Math.hypot(stroke.x1 - from.x, stroke.y1 - from.y)).toBeLessThan(toleranceMm);
			expect(Math.hypot(stroke.x2 - to.x, stroke.y2 - to.y)).toBeLessThan(toleranceMm);
		});
	});
	return { pages, fonts };
}

describe('the PDF read back', () => {
	test('the demo month: true size, dots and lines in place, fonts embedded, text readable', async () => {
		const { pages, fonts } = await compare(demoPlan());
		expect(fonts.length).toBeGreaterThanOrEqual(2);
		const text = pages.map((page) => page.text).join(' ');
		for (const word of ['Concertina', 'Walk on deck', 'Monday', '31']) expect(text).toContain(word);
	});

	test('an odd notebook with margins of its own on left and right pages', async () => {
		const plan = demoPlan();
		await compare({
			...plan,
			notebook: {
				...plan.notebook,
				pageMm: { width: 137, height: 203 },
				pitchMm: 4.95,
				columns: 25,
				rows: 38,
				marginsMm: { left: { x: 6, y: 7 }, right: { x: 9, y: 8 } }
			}
		});
	});

	test('cuts stand where they are measured, on the front and mirrored on the back', async () => {
		const demo = demoPlan();
		const door: Cut = { id: 'door', kind: 'strip', leaves: { first: 63, last: 65 }, amount: 10 };
		const plan = { ...demo, cuts: [door] };
		const run = planRun(plan);
		const { pages } = await readPdf(await renderPdf(plan, run, faces()));
		for (const [number, x] of [
			[63, 94],
			[64, 54]
		] as const) {
			const page = pages[run.pages.findIndex((one) => one.number === number)];
			const cuts = page?.strokes.filter(
				({ x1, x2, y1, y2 }) =>
					Math.abs(x1 - x) < toleranceMm &&
					Math.abs(x2 - x) < toleranceMm &&
					Math.abs(Math.abs(y2 - y1) - 210) < toleranceMm
			);
			expect(cuts).toHaveLength(1);
		}
	});

	test('a sheet corrected for bars of 98.5 mm is 100 / 98.5 larger across, and true down', async () => {
		const plan = demoPlan();
		const run = planRun(plan);
		const correction = correctionFor({ acrossMm: 98.5, downMm: 100 });
		const [plain, corrected] = await Promise.all(
			[undefined, correction].map(async (factors) => {
				const { pages } = await readPdf(await renderPdf(plan, run, faces(), factors));
				return pages[0];
			})
		);
		if (!plain || !corrected) throw new Error('a page is missing');
		expect(corrected.widthMm / plain.widthMm).toBeCloseTo(100 / 98.5, 5);
		expect(corrected.heightMm).toBeCloseTo(plain.heightMm, 5);
		plain.strokes.forEach((stroke, at) => {
			expect(corrected.strokes[at]?.x2).toBeCloseTo((stroke.x2 * 100) / 98.5, 2);
			expect(corrected.strokes[at]?.y2).toBeCloseTo(stroke.y2, 2);
		});
	});

	test('two pages on a sheet: each where the spread has it, crop marks at its corners', async () => {
		const plan = demoPlan();
		const notebook = {
			...plan.notebook,
			pageMm: { width: 130, height: 180 },
			columns: 24,
			rows: 34
		};
		const small = { ...plan, notebook: { ...notebook, pitchMm: 5, marginsMm: undefined } };
		const run = planRun(small);
		const places = placesOn('a4', notebook.pageMm);
		if (!places) throw new Error('two small pages fit on A4');
		const { pages } = await readPdf(await renderSheets(small, run, faces(), 'a4'));
		const lefts = new Set(run.pages.map(({ number }) => number - (number % 2)));
		expect(pages).toHaveLength(lefts.size);
		expect(pages[0]?.widthMm).toBeCloseTo(297, 2);
		const [first] = run.pages;
		if (!first) throw new Error('no page');
		const corner = dotMm(small.notebook, first.side, { x: 0, y: 0 });
		const [dot] = pages[0]?.dots ?? [];
		expect(dot?.x).toBeCloseTo(places[first.side].x + corner.x, 2);
		expect(dot?.y).toBeCloseTo(places[first.side].y + corner.y, 2);
		// The marks that stand on the fold: 2 mm above the pages, 5 mm long.
		const fold = (297 - 260) / 2 + 130;
		const marks = (pages[0]?.strokes ?? []).filter(
			({ x1, x2, y2 }) => Math.abs(x1 - fold) < 0.01 && x1 === x2 && y2 < places.left.y
		);
		expect(marks).toHaveLength(1);
		expect(marks[0]?.y2).toBeCloseTo(places.left.y - 2, 2);
		expect((marks[0]?.y2 ?? 0) - (marks[0]?.y1 ?? 0)).toBeCloseTo(5, 2);
		expect(placesOn('letter', { width: 148, height: 210 })).toBeUndefined();
	});

	test('the back of a leaf lies behind its front when the sheet is turned over its short edge', async () => {
		const plan = demoPlan();
		const run = planRun(plan);
		const some = { ...run, pages: run.pages.filter(({ number }) => number >= 64 && number <= 67) };
		const sheets = await renderSheets(plan, some, faces(), 'a4', { order: 'leaves' });
		const { pages } = await readPdf(sheets);
		// Of the leaves 63/64, 65/66 and 67/68 pages 64 to 67 are printed: on two sheets, front and back.
		const sides = pages.map(({ dots }) => [
			dots.some(({ x }) => x < 297 / 2),
			dots.some(({ x }) => x > 297 / 2)
		]);
		expect(sides).toEqual([
			[false, true],
			[true, true],
			[true, false],
			[false, false]
		]);
		// Where a front has its dots its back has them mirrored, as far as both pages have the same margins.
		const edge = (dots: readonly { x: number }[], end: 'least' | 'most') =>
			end === 'least' ? Math.min(...dots.map(({ x }) => x)) : Math.max(...dots.map(({ x }) => x));
		const front = (pages[0]?.dots ?? []).filter(({ x }) => x > 297 / 2);
		const back = (pages[1]?.dots ?? []).filter(({ x }) => x < 297 / 2);
		expect(edge(front, 'most')).toBeCloseTo(297 - edge(back, 'least'), 2);
	});

	test('a tracing sheet has the lines in their places, and nothing else', async () => {
		const plan = demoPlan();
		const run = planRun(plan);
		const [full, lines] = await Promise.all(
			(['everything', 'lines'] as const).map(async (drawn) =>
				readPdf(await renderPdf(plan, run, faces(), undefined, drawn))
			)
		);
		expect(lines?.pages.map(({ strokes }) => strokes)).toEqual(
			full?.pages.map(({ strokes }) => strokes)
		);
		expect(lines?.pages.every(({ dots, text }) => dots.length === 0 && text === '')).toBe(true);
	});

	test.each(['a4', 'letter'] as const)(
		'tick strips on %s: every tick as far along as the notebook’s dot, corrected for the printer',
		async (sheet) => {
			const plan = demoPlan();
			const run = planRun(plan);
			const guides = run.pages.map(({ number }) => pageGuide(plan, run, number));
			const { pitchMm } = plan.notebook;
			const correction = correctionFor({ acrossMm: 99, downMm: 98 });
			const bytes = await renderStrips(guides, pitchMm, sheet, checkSheetFont(), correction);
			const { pages } = await readPdf(bytes);
			const strips = guides.flatMap(({ steps }) => {
				const { top, side } = tickStrips(steps);
				return top.length > 0 ? [top, side] : [];
			});
			// A strip's edge is its one long line across the sheet, which is drawn before its ticks.
			const read = pages.flatMap(({ strokes }) => strokes);
			const edges = read.flatMap((stroke, at) => (stroke.x2 - stroke.x1 > 30 ? [at] : []));
			expect(edges).toHaveLength(strips.length);
			for (const [index, at] of edges.entries()) {
				const edge = read[at];
				for (const [tick, { at: square }] of (strips[index] ?? []).entries()) {
					const stroke = read[at + 1 + tick];
					expect(Math.abs((stroke?.y1 ?? 0) - (edge?.y1 ?? 0))).toBeLessThan(toleranceMm);
					const wanted = (square * pitchMm * 100) / 98;
					expect(Math.abs((stroke?.x1 ?? 0) - (edge?.x1 ?? 0) - wanted)).toBeLessThan(toleranceMm);
				}
			}
			const text = pages.map((page) => page.text).join(' ');
			const ruled = guides.find(({ steps }) => tickStrips(steps).top.length > 0);
			expect(text).toContain(`Page ${ruled?.page}, along the top`);
		}
	);

	test.each(['a4', 'letter'] as const)(
		'the check sheet on %s has bars of 100 mm',
		async (sheet) => {
			const { pages } = await readPdf(await renderCheckSheet(sheet, 4.95, checkSheetFont()));
			const [page] = pages;
			if (!page) throw new Error('a page is missing');
			expect(page.widthMm).toBeCloseTo(sheetsMm[sheet].width, 2);
			const lengths = page.strokes.map(({ x1, y1, x2, y2 }) => [x2 - x1, y2 - y1]);
			const long = lengths.filter(([x = 0, y = 0]) => Math.hypot(x, y) > 50);
			expect(long).toHaveLength(2);
			expect(long[0]?.[0]).toBeCloseTo(100, 2);
			expect(long[1]?.[1]).toBeCloseTo(100, 2);
			const [first, second] = page.dots;
			expect((second?.x ?? 0) - (first?.x ?? 0)).toBeCloseTo(4.95, 2);
		}
	);

	test('any plan', async () => {
		await fc.assert(
			fc.asyncProperty(anyPlan, async (plan) => void (await compare(plan))),
			{
				numRuns: often(25)
			}
		);
	});
});

import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { pageMarks, planRun, type Plan } from '../../src/lib/core/fit';
import { checked, planSchema, toPlan } from '../../src/lib/core/formats';
import { dotMm, pageOf } from '../../src/lib/core/paper';
import { renderPdf } from '../../src/lib/core/render/pdf';
import { pdfFonts } from '../../src/lib/server/fonts';
import demoMonth from '../../demo/month.json';
import { anyPlan } from '../support/arbitraries';
import { readPdf } from '../support/read-pdf';

// Referee: pdf.js reads the files back.
const toleranceMm = 0.01;

/** Everything on every page of a plan's PDF against the notebook's dots. */
async function compare(plan: Plan) {
	const run = planRun(plan);
	const { pages, fonts } = await readPdf(await renderPdf(plan, run, pdfFonts()));
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
		const lines = pageMarks(plan, run, page.number).flatMap((mark) =>
			mark.kind === 'line' ? [mark] : []
		);
		expect(read.strokes).toHaveLength(lines.length);
		lines.forEach((line, at) => {
			const from = dotMm(plan.notebook, page.side, { x: line.x1, y: line.y1 });
			const to = dotMm(plan.notebook, page.side, { x: line.x2, y: line.y2 });
			const stroke = read.strokes[at];
			if (!stroke) throw new Error('a stroke is missing');
			expect(Math.hypot(stroke.x1 - from.x, stroke.y1 - from.y)).toBeLessThan(toleranceMm);
			expect(Math.hypot(stroke.x2 - to.x, stroke.y2 - to.y)).toBeLessThan(toleranceMm);
		});
	});
	return { pages, fonts };
}

function demoPlan(): Plan {
	const document = checked(planSchema, demoMonth);
	if (!document.ok) throw new Error('the demo month has faults');
	return toPlan(document.value);
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

	test('any plan', async () => {
		await fc.assert(
			fc.asyncProperty(anyPlan, async (plan) => void (await compare(plan))),
			{
				numRuns: 25
			}
		);
	});
});

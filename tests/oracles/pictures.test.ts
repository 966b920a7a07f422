import fc from 'fast-check';
import { PNG } from 'pngjs';
import { describe, expect, test } from 'vitest';
import { drawPage, planRun, type Plan, type Run } from '../../src/lib/core/fit';
import { pageMarks } from '../../src/lib/core/page';
import { dotMm, pageOf, type Page } from '../../src/lib/core/paper';
import { isMissing, letters } from '../../src/lib/core/hand';
import { coverageOf } from '../../src/lib/core/render/fonts/faces';
import { pageArt } from '../../src/lib/core/render/pages/page-art';
import { renderPdf } from '../../src/lib/core/render/out/pdf';
import { renderPng } from '../../src/lib/core/render/out/png';
import { renderSvg } from '../../src/lib/core/render/out/svg';
import { faces as openedFaces } from '../../src/lib/server/answer/fonts';
import { anyPlan, demoPlan } from '../support/arbitraries';
import { readPdf } from '../support/read-pdf';
import { straightStrokes } from '../support/strokes';
import { readSvg } from '../support/read-svg';

// Referees: @xmldom/xmldom and svg-pathdata read SVGs back, pngjs PNGs, pdf.js PDFs.
const toleranceMm = 0.01;
const faces = openedFaces();
const { hand: all } = coverageOf(faces);

function compareSvg(plan: Plan, run: Run, page: Page) {
	const read = readSvg(renderSvg(pageArt(plan, run, page), faces));
	expect(read.widthMm).toBe(plan.notebook.pageMm.width);
	expect(read.heightMm).toBe(plan.notebook.pageMm.height);
	const { columns, rows } = pageOf(plan.notebook, page.number);
	expect(read.dots).toHaveLength((columns + 1) * (rows + 1));
	read.dots.forEach((dot, at) => {
		const place = { x: at % (columns + 1), y: Math.floor(at / (columns + 1)) };
		const wanted = dotMm(plan.notebook, page.side, place);
		expect(Math.hypot(dot.x - wanted.x, dot.y - wanted.y)).toBeLessThan(toleranceMm);
	});
	const marks = pageMarks(plan, run, page.number);
	const lines = straightStrokes(marks);
	expect(read.strokes).toHaveLength(lines.length);
	lines.forEach((line, at) => {
		const stroke = read.strokes[at];
		const from = dotMm(plan.notebook, page.side, line.from);
		const to = dotMm(plan.notebook, page.side, line.to);
		expect(Math.hypot((stroke?.x1 ?? 0) - from.x, (stroke?.y1 ?? 0) - from.y)).toBeLessThan(
			toleranceMm
		);
		expect(Math.hypot((stroke?.x2 ?? 0) - to.x, (stroke?.y2 ?? 0) - to.y)).toBeLessThan(
			toleranceMm
		);
	});
	const texts = marks.flatMap((mark) => (mark.kind === 'text' ? [mark.text] : []));
	// Letters without a font are left to the hand; parts of a line that runs from the right change places.
	const written = texts.map((text) =>
		[...letters(text)].filter((letter) => !isMissing(letter, all))
	);
	expect(read.texts.map((text) => letters(text).sort())).toEqual(
		written.map((letters) => letters.sort())
	);
	expect(read.fonts > 0).toBe(written.some((letters) => letters.length > 0));
}

describe('SVG read back', () => {
	test('every page of the demo month: size, dots, lines, texts, fonts', () => {
		const plan = demoPlan();
		const run = planRun(plan);
		for (const page of run.pages) compareSvg(plan, run, page);
	});

	test('is drawn in the colours of its month, and what is inked in those that it was inked with', () => {
		const plan = demoPlan();
		const run = planRun(plan);
		const { theme } = plan;
		if (!theme) throw new Error('the demo month has no colours');
		const coloursOf = (page: number) => {
			const svg = renderSvg(pageArt(plan, run, pageOf(plan.notebook, page)), faces, true);
			return new Set([...svg.matchAll(/(?:fill|stroke)="(#[0-9a-f]{6})"/g)].map(([, hex]) => hex));
		};
		const calendar = coloursOf(65);
		for (const role of ['lines', 'rest'] as const) expect(calendar).toContain(theme[role]);
		expect(coloursOf(63)).toContain(theme.lettering);
		const drawn = drawPage(plan, run, undefined, 63);
		const later = { ...plan, drawn, theme: { ...theme, lettering: '#551122' } };
		const inked = planRun(later);
		const art = pageArt(later, inked, pageOf(later.notebook, 63));
		expect(art.palette.lettering).toBe(theme.lettering);
		const other = pageArt(later, inked, pageOf(later.notebook, 66));
		expect(other.palette.lettering).toBe('#551122');
	});

	test('random months, texts of any letters', () => {
		fc.assert(
			fc.property(anyPlan, (plan) => {
				const run = planRun(plan);
				for (const page of run.pages.slice(0, 3)) compareSvg(plan, run, page);
			}),
			{ numRuns: 25 }
		);
	});
});

describe('PNG read back', () => {
	test.each([96, 300])(
		'at %i dots per inch lines are where they belong, to half a pixel',
		async (dpi) => {
			const plan = demoPlan();
			const run = planRun(plan);
			const page = run.pages.find(({ number }) => number === 70);
			if (!page) throw new Error('no page');
			const bytes = await renderPng(pageArt(plan, run, page, 'lines'), faces, dpi);
			const { width, height, data } = PNG.sync.read(Buffer.from(bytes));
			const perMm = dpi / 25.4;
			expect(width).toBe(Math.round(plan.notebook.pageMm.width * perMm));
			expect(Math.abs(height - plan.notebook.pageMm.height * perMm)).toBeLessThan(1);
			const darkness = (x: number, y: number) => 255 - (data[4 * (y * width + x)] ?? 255);
			let seen = 0;
			for (const mark of pageMarks(plan, run, page.number)) {
				if (mark.kind !== 'line' || mark.x1 !== mark.x2) continue;
				const middle = { x: mark.x1, y: (mark.y1 + mark.y2) / 2 + 0.25 };
				const place = dotMm(plan.notebook, page.side, middle);
				const row = Math.round(place.y * perMm);
				const around = Array.from({ length: 11 }, (_, at) => Math.floor(place.x * perMm) - 5 + at);
				const sum = around.reduce((all, x) => all + darkness(x, row), 0);
				const centre = around.reduce((all, x) => all + (x + 0.5) * darkness(x, row), 0) / sum;
				expect(Math.abs(centre - place.x * perMm)).toBeLessThan(0.5);
				seen++;
			}
			expect(seen).toBeGreaterThan(5);
			// The chunk with the resolution, as the PNG specification has it.
			const at = Buffer.from(bytes).indexOf('pHYs');
			expect(Buffer.from(bytes).readUInt32BE(at + 4)).toBe(Math.round(dpi / 0.0254));
		}
	);

	test('texts are drawn, as outlines', async () => {
		const plan = demoPlan();
		const run = planRun(plan);
		const [page] = run.pages;
		if (!page) throw new Error('no page');
		const art = pageArt(plan, run, page);
		const inked = async (texts: typeof art.texts) => {
			const { data } = PNG.sync.read(Buffer.from(await renderPng({ ...art, texts }, faces, 100)));
			return data.filter((value, index) => index % 4 === 0 && value < 90).length;
		};
		expect(await inked(art.texts)).toBeGreaterThan(1.2 * (await inked([])));
	});
});

test('a stencil as PDF and as SVG is the same slots', async () => {
	const plan = demoPlan();
	const run = planRun(plan);
	const { pages } = await readPdf(await renderPdf(plan, run, faces, { x: 1, y: 1 }, 'stencil'));
	run.pages.forEach((page, index) => {
		const { strokes } = readSvg(renderSvg(pageArt(plan, run, page, 'stencil'), faces));
		expect(pages[index]?.strokes).toHaveLength(strokes.length);
		strokes.forEach((stroke, at) => {
			expect(pages[index]?.strokes[at]?.x1).toBeCloseTo(stroke.x1, 1.5);
			expect(pages[index]?.strokes[at]?.y2).toBeCloseTo(stroke.y2, 1.5);
		});
	});
});

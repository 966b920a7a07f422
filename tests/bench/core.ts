import PDFDocument from 'pdfkit';
import { begin, idGiver, kinds } from '../../src/lib/core/catalogue';
import { openingAt, usableOf, type Cut } from '../../src/lib/core/cuts';
import { choicesIn, planRun, type Plan } from '../../src/lib/core/fit';
import { pageMarks } from '../../src/lib/core/page';
import { countsIn, pageGuide } from '../../src/lib/core/guide';
import { breakLines } from '../../src/lib/core/hand';
import { renderPdf } from '../../src/lib/core/render/out/pdf';
import type { Faces } from '../../src/lib/core/render/fonts/faces';
import { faces } from '../../src/lib/server/answer/fonts';
import { planWith } from '../support/arbitraries';
import { measure, report } from './measure';

/** A month of ten wishes, as people have them. */
export const tenWishes = planWith([
	{ id: 'cover', kind: 'cover' },
	{ id: 'calendar', kind: 'month-calendar', span: 'spread' },
	...Array.from({ length: 6 }, (_, index) => ({
		id: `habits-${index}`,
		kind: 'habits',
		title: 'Habits',
		items: Array.from({ length: 3 + index }, (_, item) => ({ name: `Habit ${item}` }))
	})),
	{ id: 'dump', kind: 'brain-dump', title: 'Brain dump' },
	{ id: 'notes', kind: 'brain-dump', title: 'Notes' }
]);

/** Planning, drawing, guide and PDF of ten wishes. */
export async function benchCore(): Promise<void> {
	const run = planRun(tenWishes);
	report('run of ten wishes', await measure(100, () => planRun(tenWishes)));
	report(
		'marks of all its pages',
		await measure(100, () => run.pages.map((page) => pageMarks(tenWishes, run, page.number)))
	);
	report(
		'guide of all its pages',
		await measure(50, () => run.pages.map(({ number }) => pageGuide(tenWishes, run, number)))
	);
	reportCounts(tenWishes);
	const freeId = idGiver([]);
	const wishes = Array.from(
		{ length: 30 },
		(_, index) => kinds[(index * 5) % kinds.length]
	).flatMap((kind) => (kind ? [begin(kind, freeId)] : []));
	const thirty = planWith(wishes);
	const room = { span: 'page', w: 28, h: 40 } as const;
	report(
		'all options of a 30-wish month',
		await measure(50, () => wishes.map((wish) => choicesIn(thirty, wish, room))),
		'wanted: under 20'
	);
	const full = planRun(thirty);
	const first24 = full.pages.slice(0, 24);
	report(
		`guide of ${first24.length} pages of it`,
		await measure(20, () => first24.map(({ number }) => pageGuide(thirty, full, number))),
		'wanted: under 100 for 24'
	);
	const marked = full.pages.map(({ number }) => number);
	report(
		'marks of one page of it',
		await measure(200, () =>
			pageMarks(thirty, full, marked[Math.floor(Math.random() * marked.length)] ?? 12)
		),
		'wanted: under 2'
	);
	const words = Array.from({ length: 2000 }, (_, index) => 'abcdefghij'.slice(index % 10));
	report(
		'quote of 2,000 words',
		await measure(50, () => breakLines(words, 56)),
		'wanted: under 10'
	);
	const fonts = faces();
	const ours = await measure(10, () => renderPdf(tenWishes, run, fonts));
	const marks = run.pages.map((page) => pageMarks(tenWishes, run, page.number));
	const bare = await measure(10, () => barePdf(marks, fonts));
	report('PDF of all its pages', ours);
	report('  the same primitives by the PDF library alone', bare);
	console.log(`  ratio ${(ours.median / bare.median).toFixed(2)} (wanted: under 1.5)`);
}

/** A cut dragged through a set of twelve leaves: what is seen, what is usable, what is to be known. */
export async function benchCuts(): Promise<void> {
	const cutAt = (amount: number): Cut[] => [
		{ id: 'door', kind: 'strip', leaves: { first: 13, last: 33 }, amount },
		{
			id: 'window',
			kind: 'window',
			leaves: { first: 35, last: 35 },
			rect: { x: 4, y: 4, w: 12, h: 20 }
		}
	];
	const fronts = Array.from({ length: 12 }, (_, leaf) => 13 + 2 * leaf);
	let amount = 0;
	report(
		'openings of a set of twelve leaves',
		await measure(50, () => {
			amount = (amount % 20) + 1;
			return fronts.map((front) => openingAt(tenWishes.notebook, cutAt(amount), front));
		}),
		'wanted: under 16'
	);
	report(
		'  its usable squares, front and back',
		await measure(50, () => {
			amount = (amount % 20) + 1;
			return fronts.flatMap((front) =>
				[front, front + 1].map((page) => usableOf(tenWishes.notebook, cutAt(amount), page))
			);
		})
	);
}

/** Counts for each ruled line, and what they would be from the top left corner. */
function reportCounts(plan: Plan): void {
	const run = planRun(plan);
	let counted = 0;
	let fromCorner = 0;
	let lines = 0;
	for (const { number } of run.pages) {
		for (const step of pageGuide(plan, run, number).steps)
			if (step.kind === 'rule' || step.kind === 'tick') counted += countsIn(step);
		for (const mark of pageMarks(plan, run, number))
			if (mark.kind === 'line') {
				fromCorner += mark.x1 + mark.y1 + mark.x2 + mark.y2;
				lines++;
			}
	}
	console.log(
		`  ${(counted / lines).toFixed(1)} counts a line, ${(counted / fromCorner).toFixed(2)} of counting from the top left (wanted: 0.5)`
	);
}

type Marks = ReturnType<typeof pageMarks>;

/** As many dots, strokes, areas and texts as the run has, in the same typefaces, with no plan behind them. */
function barePdf(pages: readonly Marks[], { hand, lettering }: Faces): Promise<void> {
	return new Promise((resolve) => {
		const document = new PDFDocument({ autoFirstPage: false });
		document.on('data', () => undefined);
		document.on('end', () => resolve());
		for (const { name, program } of [...hand, ...lettering]) document.registerFont(name, program);
		const [written, drawn] = [hand[0]?.name ?? '', lettering[0]?.name ?? ''];
		for (const marks of pages) {
			document.addPage({ size: [420, 595], margin: 0 });
			for (const mark of marks)
				if (mark.kind === 'tint') document.rect(mark.x, mark.y, mark.w, mark.h).fill('#eeeeee');
			for (let y = 0; y <= 40; y++)
				for (let x = 0; x <= 28; x++) document.moveTo(x * 14, y * 14).lineTo(x * 14, y * 14);
			document.stroke();
			for (const mark of marks)
				if (mark.kind === 'line') document.moveTo(mark.x1, mark.y1).lineTo(mark.x2, mark.y2);
			document.stroke();
			for (const mark of marks)
				if (mark.kind === 'text')
					document
						.font(mark.style === 'lettering' ? drawn : written, 10)
						.text(mark.text, mark.x * 14, mark.y * 14, { lineBreak: false });
		}
		document.end();
	});
}

import { describe, expect, test } from 'vitest';
import { toDocument, planSchema, readJson, toPlan, runDocument } from '../../src/lib/core/formats';
import { planRun } from '../../src/lib/core/fit';
import { pageGuide, sentenceOf } from '../../src/lib/core/guide';
import { pageArt } from '../../src/lib/core/render/pages/page-art';
import { renderPdf } from '../../src/lib/core/render/out/pdf';
import { renderPng } from '../../src/lib/core/render/out/png';
import { renderSvg } from '../../src/lib/core/render/out/svg';
import { faces as openedFaces } from '../../src/lib/server/answer/fonts';
import { documentWith } from '../support/arbitraries';
import { readPdf } from '../support/read-pdf';
import { readSvg } from '../support/read-svg';

// Referees: @xmldom/xmldom reads the SVGs (XML 1.0), pdf.js the PDFs.
const faces = openedFaces();

/** Every code point from one to another as a text. */
const from = (first: number, last: number) =>
	Array.from({ length: last - first + 1 }, (_, at) => String.fromCharCode(first + at)).join('');

const texts: Record<string, string> = {
	'control characters': `a${from(0, 31)}b${from(127, 159)}c`,
	'halves of pairs': 'a\ud800b\udc00c\udfff\ud800',
	'no characters': 'a\ufffeb\uffffc\ufdd0d',
	'marks of XML': `<b>&amp;"'</b>]]>`,
	Arabic: 'عادات الشهر',
	Hebrew: 'הרגלים',
	Japanese: '習慣と予定',
	Thai: 'กำหนดการ',
	Devanagari: 'आदतें',
	'signs of many parts': '👩‍🍳🏴‍☠️ e\u0301\u0323\u0302',
	'directions turned': '\u202eabc\u202c \u2066x\u2069',
	'ends of lines': 'a\r\nb\rc\u2028d'
};

/** A month in which every field for texts that a document has says the same. */
const monthSaying = (text: string) =>
	documentWith(
		[
			{ id: 'cover', kind: 'cover', title: text },
			{ id: 'cal', kind: 'month-calendar', events: [{ day: 3, time: text.slice(0, 20), text }] },
			{
				id: 'habits',
				kind: 'habits',
				note: text,
				items: [{ name: text, short: text.slice(0, 40), symbol: text.slice(0, 8), group: text }]
			},
			{
				id: 'mood',
				kind: 'mood',
				levels: [1, 2, 3, 4].map((level) => `${level} ${text}`.slice(0, 60))
			},
			{ id: 'spending', kind: 'spending', columns: [{ name: text, longest: text }] },
			{ id: 'quote', kind: 'quote', text },
			{ id: 'goals', kind: 'goals', goals: [{ name: text, from: 1, to: 9 }] },
			{ id: 'notes', kind: 'notes', title: text, text }
		],
		{ notebook: { ...documentWith([]).notebook, name: text }, locale: 'en' }
	);

/** Whether XML 1.0 allows every character of a text (production 2). */
const allowed = /^[\t\n\r\u{20}-\u{d7ff}\u{e000}-\u{fffd}\u{10000}-\u{10ffff}]*$/u;

describe('texts of every kind', () => {
	test.each(Object.entries(texts))('%s come out of every output', async (_, text) => {
		const read = readJson(planSchema, JSON.stringify(monthSaying(text)));
		if (!read.ok) throw new Error(JSON.stringify(read.faults));
		const plan = toPlan(read.value);
		const run = planRun(plan);
		expect(run.blocks.length).toBeGreaterThan(5);
		const [page] = run.pages;
		if (!page) throw new Error('no page');
		for (const page of run.pages) {
			const svg = renderSvg(pageArt(plan, run, page), faces);
			expect(svg).toMatch(allowed);
			readSvg(svg);
			const { steps, size } = pageGuide(plan, run, page.number);
			for (const step of steps) expect(sentenceOf(step, size)).toMatch(allowed);
		}
		const pdf = await readPdf(await renderPdf(plan, run, faces));
		expect(pdf.pages).toHaveLength(run.pages.length);
		expect((await renderPng(pageArt(plan, run, page), faces, 72)).byteLength).toBeGreaterThan(100);
		const answer = JSON.stringify([
			runDocument(plan, run, { marks: true, remedies: undefined }),
			toDocument(plan)
		]);
		expect(answer).toMatch(allowed);
		expect(answer).not.toMatch(/\\u(00[01]|d[89a-f])/i);
	});
});

import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import bidiFactory from 'bidi-js';
import fc from 'fast-check';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { describe, expect, test } from 'vitest';
import { text, type TextMark } from '../../src/lib/core/draw';
import { planRun } from '../../src/lib/core/fit';
import { checked, planSchema, toPlan } from '../../src/lib/core/formats';
import { missingLetters } from '../../src/lib/core/hand';
import { coverageOf } from '../../src/lib/core/render/fonts/faces';
import { renderPdf } from '../../src/lib/core/render/out/pdf';
import { setRuns } from '../../src/lib/core/render/fonts/set-runs';
import { checkFont } from '../../src/lib/server/archive/font-check';
import { faces, type FontFile } from '../../src/lib/server/answer/fonts';
import { documentWith } from '../support/arbitraries';

// Referees: pdf.js reads the PDFs; bidi-js, an implementation of UAX 9, puts letters in order.
const require = createRequire(import.meta.url);
const fileOf = (name: string) => readFileSync(require.resolve(`@fontsource/${name}`));
const arabic = fileOf('noto-sans-arabic/files/noto-sans-arabic-arabic-400-normal.woff');
const hebrew = fileOf('noto-sans-hebrew/files/noto-sans-hebrew-hebrew-400-normal.woff');
const own: FontFile[] = [
	{ id: 'a', use: 'both', file: arabic },
	{ id: 'h', use: 'hand', file: hebrew }
];

function habits(names: readonly string[]) {
	const items = names.map((name) => ({ name }));
	const document = documentWith([{ id: 'habits', kind: 'habits', items }], { locale: 'en' });
	const read = checked(planSchema, document);
	if (!read.ok) throw new Error('the month has faults');
	return toPlan(read.value);
}

async function itemsOf(bytes: Uint8Array) {
	const document = await getDocument({ data: new Uint8Array(bytes), verbosity: 0 }).promise;
	const page = await document.getPage(1);
	const { items } = await page.getTextContent();
	await document.destroy();
	// A letter that is drawn as a body and its dots is read as the letter and nothing.
	return items.flatMap((item) => ('str' in item ? [item.str.replaceAll('\u0001', '')] : []));
}

describe('letters that no shipped font has', () => {
	test('are missing from the PDF, and told; a font that has them writes them', async () => {
		const plan = habits(['قراءة', 'Bread']);
		const run = planRun(plan);
		const bare = await itemsOf(await renderPdf(plan, run, faces()));
		expect(bare.some((text) => /\p{Script=Arabic}/u.test(text))).toBe(false);
		expect(bare).toContain('Bread');
		const marks = [{ text: 'قراءة', style: 'hand' }];
		expect(missingLetters(marks, coverageOf(faces()))).toEqual(['ق', 'ر', 'ا', 'ء', 'ة']);

		const written = await itemsOf(await renderPdf(plan, run, faces(own)));
		expect(missingLetters(marks, coverageOf(faces(own)))).toEqual([]);
		expect(written.map((text) => text.normalize('NFKC'))).toContain('قراءة');
	});

	test('lines of mixed directions are set in the order of the bidirectional algorithm', () => {
		const bidi = bidiFactory();
		const opened = faces(own);
		const word = fc.constantFrom('bread', 'שלום', 'Tide 4', 'ספר', '12', '(אב)', 'a-b');
		fc.assert(
			fc.property(fc.array(word, { minLength: 1, maxLength: 5 }), (words) => {
				const line = words.join(' ');
				const mark = text(line, { x: 0, y: 0, w: 20, h: 1 }, 'hand');
				if (mark.kind !== 'text') throw new Error('no text');
				const { paragraphs, levels } = bidi.getEmbeddingLevels(line, 'auto');
				const wanted = bidi.getReorderedString(line, { paragraphs, levels });
				const runs = setRuns(artOf(mark), opened);
				const seen = runs
					.map(({ text, fromRight }) => (fromRight ? reversed(text) : text))
					.join('');
				expect(seen).toBe(wanted);
				const starts = runs.map(({ along }) => along);
				expect(starts).toEqual([...starts].sort((a, b) => a - b));
			})
		);
	});

	test('a line that runs from the right ends at its right edge', () => {
		const mark = text('שלום', { x: 0, y: 0, w: 20, h: 1 }, 'hand', 'start');
		if (mark.kind !== 'text') throw new Error('no text');
		const [run] = setRuns({ ...artOf(mark), anchor: 'right' }, faces(own));
		expect(run?.along).toBeLessThan(0);
		expect(run?.fromRight).toBe(true);
	});
});

const artOf = (mark: TextMark) => ({ mark, x: 0, y: 0, size: 4, anchor: 'left' as const });

function reversed(text: string): string {
	const bidi = bidiFactory();
	return [...text]
		.reverse()
		.map((sign) => bidi.getMirroredCharacter(sign) ?? sign)
		.join('');
}

describe('a font file', () => {
	test('is drawn with once before it is taken', async () => {
		expect(await checkFont(arabic)).toMatchObject({ ok: true });
		const checked = await checkFont(hebrew);
		if (!checked.ok) throw new Error(checked.reason);
		const aleph = 0x5d0;
		expect(checked.ranges.some(([first, last]) => aleph >= first && aleph <= last)).toBe(true);
	});

	test('that cannot be put into a PDF says so', async () => {
		const woff2 = fileOf('noto-sans-hebrew/files/noto-sans-hebrew-hebrew-400-normal.woff2');
		expect(await checkFont(woff2)).toMatchObject({
			ok: false,
			reason: expect.stringContaining('WOFF2')
		});
	});

	test('whose tables are damaged, one at a time, is refused in words and not read for ever', async () => {
		const at = new DataView(arabic.buffer, arabic.byteOffset, arabic.byteLength);
		for (let entry = 44; entry < 44 + 20 * at.getUint16(12); entry += 20) {
			const [offset, packed, length] = [4, 8, 12].map((place) => at.getUint32(entry + place));
			if (packed === length) continue;
			const file = new Uint8Array(arabic);
			file.fill(0xff, (offset ?? 0) + 2, (offset ?? 0) + Math.ceil((packed ?? 0) / 2));
			expect(await checkFont(file)).toEqual({
				ok: false,
				reason: expect.stringContaining('damaged')
			});
		}
		expect(await checkFont(arabic.subarray(0, 60))).toMatchObject({ ok: false });
	});

	test('that is none, or is cut off, is refused in words', async () => {
		for (const file of [
			new Uint8Array(),
			new TextEncoder().encode('no font at all'),
			new Uint8Array(arabic.subarray(0, 3000))
		])
			expect(await checkFont(file)).toMatchObject({ ok: false });
	});
});

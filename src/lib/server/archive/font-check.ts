import { create } from 'fontkit';
import PDFDocument from 'pdfkit';
import type { Ranges } from '$lib/core/hand';
import { coverageOf, fontType, openFaces } from '$lib/core/render/fonts/faces';
import { collectPdf } from '$lib/core/render/out/pdf-file';
import { hasWholeTables } from './woff-tables';

/** A font file that can be written with, or one sentence on why it cannot. */
export type FontCheck =
	| { readonly ok: true; readonly name: string; readonly ranges: Ranges }
	| { readonly ok: false; readonly reason: string };

/** Letters that are drawn once to see whether the outlines can be read. */
const tried = 24;

/** Opens a font file and draws with it, as sheets will. */
export async function checkFont(file: Uint8Array): Promise<FontCheck> {
	const refused = (reason: string): FontCheck => ({ ok: false, reason });
	if (fontType(file) === 'font/woff2')
		return refused('WOFF2 files cannot go into a PDF: take the TTF, OTF or WOFF of this font.');
	if (fontType(file) === 'font/woff' && !hasWholeTables(file))
		return refused('This WOFF file is damaged: a part of it is missing or cannot be unpacked.');
	try {
		const font = create(Buffer.from(file));
		if ('fonts' in font)
			return refused('This file holds several fonts: save the one you want by itself.');
		// Restricted licence embedding (OpenType specification, OS/2 table, fsType).
		if (font['OS/2']?.fsType?.noEmbedding)
			return refused('The makers of this font do not allow it to be put into other files.');
		const { hand: ranges } = coverageOf(openFaces({ hand: [file], lettering: [] }));
		if (ranges.length === 0) return refused('This font has no letters.');
		const some = String.fromCodePoint(...font.characterSet.slice(0, tried));
		for (const glyph of font.layout(some).glyphs) glyph.path.toSVG();
		await embedded(file, some);
		return { ok: true, name: font.fullName || font.familyName || 'A font', ranges };
	} catch {
		return refused('This is no font file that can be read; TTF, OTF and WOFF files can.');
	}
}

async function embedded(file: Uint8Array, text: string): Promise<void> {
	const document = new PDFDocument();
	const finished = collectPdf(document);
	document.font(Buffer.from(file)).text(text, { lineBreak: false });
	document.end();
	await finished;
}

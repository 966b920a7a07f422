import * as fontkit from 'fontkit';
import type { TextStyle } from '../../draw';
import type { Coverage, Ranges } from '../../hand';
import { sfntOf } from './sfnt';

/** Font files by what is written with them; the first that has a letter writes it. */
export interface FontFiles {
	readonly hand: readonly Uint8Array[];
	readonly lettering: readonly Uint8Array[];
}

/** A font file that is open. */
export interface Face {
	readonly name: string;
	/** As it came, often packed. */
	readonly file: Buffer;
	/** Unpacked. */
	readonly program: Buffer;
	readonly font: fontkit.Font;
	/** Widths of texts that were set, in parts of the size. */
	readonly widths: Map<string, number>;
}

/** Open font files by what is written with them. */
export type Faces = Readonly<Record<'hand' | 'lettering', readonly Face[]>>;

/** Opens font files; what is no single font is left out. */
export function openFaces(files: FontFiles): Faces {
	return { hand: open('hand', files.hand), lettering: open('lettering', files.lettering) };
}

function open(style: string, files: readonly Uint8Array[]): Face[] {
	return files.flatMap((file, index): Face[] => {
		const buffer = Buffer.from(file);
		const program = sfntOf(buffer);
		const font = fontkit.create(program);
		return 'hasGlyphForCodePoint' in font
			? [{ name: `${style}-${index}`, file: buffer, program, font, widths: new Map() }]
			: [];
	});
}

/** The faces that a text of a style is written with, the first one that has a letter writing it. */
export function facesFor(style: TextStyle, faces: Faces): readonly Face[] {
	return faces[style === 'lettering' ? 'lettering' : 'hand'];
}

/** Which letters the faces have. */
export function coverageOf(faces: Faces): Coverage {
	return { hand: rangesOf(faces.hand), lettering: rangesOf(faces.lettering) };
}

function rangesOf(faces: readonly Face[]): Ranges {
	const codes = [...new Set(faces.flatMap(({ font }) => font.characterSet))].sort((a, b) => a - b);
	const ranges: [number, number][] = [];
	for (const code of codes) {
		const last = ranges.at(-1);
		if (last && last[1] === code - 1) last[1] = code;
		else ranges.push([code, code]);
	}
	return ranges;
}

/** The media type of a font file, told by how it begins. */
export function fontType(file: Uint8Array): string {
	const start = Buffer.from(file.subarray(0, 4)).toString('latin1');
	return { wOFF: 'font/woff', wOF2: 'font/woff2', OTTO: 'font/otf' }[start] ?? 'font/ttf';
}

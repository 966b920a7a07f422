import * as fontkit from 'fontkit';
import type { TextMark } from '../draw';

/** Font files by what is written with them; the first that has a letter writes it. */
export interface FontFiles {
	readonly hand: readonly Uint8Array[];
	readonly lettering: readonly Uint8Array[];
}

/** A font file that is open. */
export interface Face {
	readonly name: string;
	readonly file: Buffer;
	readonly font: fontkit.Font;
}

/** Open font files by what is written with them. */
export type Faces = Readonly<Record<'hand' | 'lettering', readonly Face[]>>;

/** A part of a text that one face writes. */
export interface FaceRun {
	readonly face: Face;
	readonly text: string;
}

/** Opens font files; what is no single font is left out. */
export function openFaces(files: FontFiles): Faces {
	return { hand: open('hand', files.hand), lettering: open('lettering', files.lettering) };
}

function open(style: string, files: readonly Uint8Array[]): Face[] {
	return files.flatMap((file, index): Face[] => {
		const buffer = Buffer.from(file);
		const font = fontkit.create(buffer);
		return 'hasGlyphForCodePoint' in font
			? [{ name: `${style}-${index}`, file: buffer, font }]
			: [];
	});
}

/** Cuts a mark's text where the face changes; a letter that no face has is written with the first. */
export function faceRuns({ text, style }: TextMark, faces: Faces): FaceRun[] {
	const all = faces[style === 'lettering' ? 'lettering' : 'hand'];
	const runs: { face: Face; text: string }[] = [];
	for (const letter of text) {
		const codePoint = letter.codePointAt(0) ?? 0;
		const face = all.find(({ font }) => font.hasGlyphForCodePoint(codePoint)) ?? all[0];
		if (!face) continue;
		const last = runs.at(-1);
		if (last?.face === face) last.text += letter;
		else runs.push({ face, text: letter });
	}
	return runs;
}

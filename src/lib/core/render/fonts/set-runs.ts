import bidiFactory from 'bidi-js';
import { isUnseen, letters, roomOf, runsFromRight } from '../../hand';
import { facesFor, type Face, type Faces } from './faces';
import type { ArtText } from '../pages/page-art';

/** A part of a line that one face writes in one direction. */
export interface SetRun {
	readonly face: Face;
	readonly text: string;
	/** Its left end, from the place of the line to the right. */
	readonly along: number;
	readonly fromRight: boolean;
}

const bidi = bidiFactory();
/** Room that is left for a letter without a face, as a part of the size, for each ordinary letter's room. */
const roomLeft = 0.5;

/**
 * A text's line as it is written, from left to right: parts by direction (UAX 9, the Unicode Bidirectional Algorithm)
 * and by face. Letters that no face has are left out, and their room stays free for the hand.
 */
export function setRuns({ mark, size, anchor }: ArtText, faces: Faces): SetRun[] {
	const all = facesFor(mark.style, faces);
	let along = 0;
	const runs = directions(mark.text).flatMap(({ text, fromRight }) => {
		const parts = byFace(text, all);
		return (fromRight ? parts.reverse() : parts).flatMap(({ face, text }) => {
			const start = along;
			along += size * (face ? widthOf(face, text, fromRight) : roomFor(text));
			return face ? [{ face, text, fromRight, along: start }] : [];
		});
	});
	const before = { left: 0, middle: along / 2, right: along }[anchor];
	return runs.map((run) => ({ ...run, along: run.along - before }));
}

interface Directed {
	readonly text: string;
	readonly fromRight: boolean;
}

/** Parts of one direction, in the order in which they stand from left to right. */
function directions(text: string): Directed[] {
	// Nothing before Hebrew is written from the right, and no plain text holds a mark of direction.
	if (!/[\u0590-\u{10ffff}]/u.test(text)) return [{ text, fromRight: false }];
	const embedding = bidi.getEmbeddingLevels(text, runsFromRight(text) ? 'rtl' : 'ltr');
	const parts: { text: string; level: number }[] = [];
	for (let index = 0; index < text.length; index++) {
		const level = embedding.levels[index] ?? 0;
		const sign = text.charAt(index);
		const last = parts.at(-1);
		if (last?.level === level) last.text += sign;
		else parts.push({ text: sign, level });
	}
	// UAX 9, L2: from the highest level to the lowest odd one, reverse what is at that level or higher.
	const highest = Math.max(...parts.map(({ level }) => level));
	for (let level = highest; level >= 1; level--)
		for (let from = 0; from < parts.length; from++) {
			let to = from;
			while ((parts[to]?.level ?? -1) >= level) to++;
			parts.splice(from, to - from, ...parts.slice(from, to).reverse());
			from = to;
		}
	return parts.map(({ text, level }) => ({ text, fromRight: level % 2 === 1 }));
}

/** A text cut where its face changes, in the order of reading. */
function byFace(text: string, faces: readonly Face[]): { face: Face | undefined; text: string }[] {
	const runs: { face: Face | undefined; text: string }[] = [];
	for (const letter of letters(text)) {
		const face = faceOf(letter, faces, runs.at(-1)?.face);
		const last = runs.at(-1);
		if (last && last.face === face) last.text += letter;
		else runs.push({ face, text: letter });
	}
	return runs;
}

/** The first face that has all of a letter; what is not seen is written with the one before it. */
function faceOf(
	letter: string,
	faces: readonly Face[],
	before: Face | undefined
): Face | undefined {
	const parts = [...letter].filter((part) => !isUnseen(part));
	if (parts.length === 0) return before ?? faces[0];
	return faces.find(({ font }) =>
		parts.every((part) => font.hasGlyphForCodePoint(part.codePointAt(0) ?? 0))
	);
}

/** Width of a text in a face of size 1. */
function widthOf(face: Face, text: string, fromRight: boolean): number {
	const known = face.widths.get(text);
	if (known !== undefined) return known;
	const { advanceWidth } = lineOf(face, text, fromRight);
	const width = advanceWidth / face.font.unitsPerEm;
	// Dates and names come again on every page; whole sentences hardly do.
	if (text.length <= 24) face.widths.set(text, width);
	return width;
}

/** A text's glyphs in a face, from left to right. */
export function lineOf({ font }: Face, text: string, fromRight: boolean) {
	const direction = fromRight ? 'rtl' : 'ltr';
	return font.layout(mirrored(text, fromRight), undefined, undefined, undefined, direction);
}

/** A text for a program that sets glyphs and knows nothing of directions: its brackets are turned where they must be. */
export function mirrored(text: string, fromRight: boolean): string {
	if (!fromRight) return text;
	return [...text].map((sign) => bidi.getMirroredCharacter(sign) ?? sign).join('');
}

function roomFor(text: string): number {
	return roomLeft * letters(text).reduce((sum, letter) => sum + roomOf(letter), 0);
}

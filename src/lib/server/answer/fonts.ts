import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Coverage } from '$lib/core/hand';
import { coverageOf, openFaces, type Faces, type FontFiles } from '$lib/core/render/fonts/faces';

/** What a font is for: writing, drawn letters, or both. */
export type FontUse = 'hand' | 'lettering' | 'both';

/** A font file of the person's own. */
export interface FontFile {
	readonly id: string;
	readonly use: FontUse;
	readonly file: Uint8Array;
}

const require = createRequire(import.meta.url);

function face(file: string): Uint8Array {
	return readFileSync(require.resolve(`@fontsource/${file}`));
}

let opened: { readonly key: string; readonly faces: Faces } | undefined;
let covered: Coverage | undefined;

/**
 * The fonts that PDFs and SVGs embed: those that ship with the program, then the person's own for letters that these
 * lack. What was opened last stays open.
 */
export function faces(own: readonly FontFile[] = []): Faces {
	const key = own.map(({ id, use }) => `${id} ${use}`).join();
	if (opened?.key !== key) opened = { key, faces: openFaces(load(own)) };
	return opened.faces;
}

/** Letters that the shipped fonts have. */
export function shippedCoverage(): Coverage {
	covered ??= coverageOf(openFaces(load([])));
	return covered;
}

function load(own: readonly FontFile[]): FontFiles {
	const added = (style: 'hand' | 'lettering') =>
		own.flatMap(({ use, file }) => (use === 'both' || use === style ? [file] : []));
	// Letters that the hand typeface lacks are taken from a plain one that has more scripts.
	const plain = ['latin', 'latin-ext', 'greek', 'cyrillic', 'cyrillic-ext', 'vietnamese'].map(
		(script) => face(`alegreya-sans/files/alegreya-sans-${script}-400-normal.woff`)
	);
	return {
		hand: [
			face('patrick-hand/files/patrick-hand-latin-400-normal.woff'),
			face('patrick-hand/files/patrick-hand-latin-ext-400-normal.woff'),
			...plain,
			...added('hand')
		],
		lettering: [
			...['latin', 'latin-ext', 'greek', 'cyrillic'].map((script) =>
				face(`alegreya/files/alegreya-${script}-500-normal.woff`)
			),
			...plain,
			...added('lettering')
		]
	};
}

/** The plain face that notes on sheets are set in. */
export function checkSheetFont(): Uint8Array {
	return face('alegreya-sans/files/alegreya-sans-latin-400-normal.woff');
}

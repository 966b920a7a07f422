import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { openFaces, type Faces, type FontFiles } from '$lib/core/render/faces';

const require = createRequire(import.meta.url);

function face(file: string): Uint8Array {
	return readFileSync(require.resolve(`@fontsource/${file}`));
}

let opened: Faces | undefined;

/** The fonts that PDFs and SVGs embed, from the packages that ship with the program; opened once. */
export function faces(): Faces {
	opened ??= openFaces(load());
	return opened;
}

function load(): FontFiles {
	// Letters that the hand typeface lacks are taken from a plain one that has more scripts.
	const plain = ['latin', 'latin-ext', 'greek', 'cyrillic', 'cyrillic-ext', 'vietnamese'].map(
		(script) => face(`alegreya-sans/files/alegreya-sans-${script}-400-normal.woff`)
	);
	return {
		hand: [
			face('patrick-hand/files/patrick-hand-latin-400-normal.woff'),
			face('patrick-hand/files/patrick-hand-latin-ext-400-normal.woff'),
			...plain
		],
		lettering: [
			...['latin', 'latin-ext', 'greek', 'cyrillic'].map((script) =>
				face(`alegreya/files/alegreya-${script}-500-normal.woff`)
			),
			...plain
		]
	};
}

/** The plain face that notes on sheets are set in. */
export function checkSheetFont(): Uint8Array {
	return face('alegreya-sans/files/alegreya-sans-latin-400-normal.woff');
}

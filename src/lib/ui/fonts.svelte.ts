import { getContext, setContext } from 'svelte';
import type { Coverage } from '$lib/core/hand';

/** A font of the person's own, as the screens need it. */
export interface ScreenFont {
	readonly id: string;
	readonly use: 'hand' | 'lettering' | 'both';
}

const key = Symbol('fonts');

/** Makes known which letters the fonts have, to all pictures of pages below. */
export function setCoverage(coverage: () => Coverage): void {
	setContext(key, coverage);
}

/** Which letters the fonts have. */
export function getCoverage(): () => Coverage {
	return getContext(key);
}

const family = ({ id }: ScreenFont) => `own-${id}`;

/** Loads the person's own fonts, and has pages written with them after the shipped ones; gives the way to end it. */
export function loadFonts(fonts: readonly ScreenFont[]): () => void {
	const faces = fonts.map((font) => new FontFace(family(font), `url(/app/fonts/${font.id})`));
	for (const face of faces) document.fonts.add(face);
	const { style } = document.documentElement;
	for (const name of ['hand', 'lettering'] as const) {
		const families = fonts.filter(({ use }) => use === name || use === 'both').map(family);
		if (families.length > 0)
			style.setProperty(`--own-${name}`, families.map((name) => `"${name}"`).join(', '));
	}
	return () => {
		for (const face of faces) document.fonts.delete(face);
		for (const name of ['hand', 'lettering']) style.removeProperty(`--own-${name}`);
	};
}

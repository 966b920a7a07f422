import {
	clampChroma,
	converter,
	formatHex,
	interpolate,
	modeLab65,
	modeLrgb,
	modeOklab,
	modeOklch,
	modeRgb,
	modeXyz65,
	useMode,
	wcagLuminance
} from 'culori/fn';
import type { Tone } from '../draw';
import type { Colour, Theme } from './theme';

// Only the colour spaces that are used: the library knows some thirty.
for (const mode of [modeRgb, modeLrgb, modeXyz65, modeLab65, modeOklab, modeOklch]) useMode(mode);

/** With which colour each thing on a page is drawn. */
export interface Palette {
	readonly lines: Colour;
	readonly lettering: Colour;
	readonly tones: Readonly<Record<Tone, Colour>>;
}

/** White of a notebook, warmer than a screen's. */
export const paperColour: Colour = '#fcf9f1';

/** Colours of a month that has none of its own. */
export const usualPalette: Palette = {
	lines: '#1d2a3a',
	lettering: '#1d2a3a',
	tones: {
		rest: '#ece7da',
		art: '#f4f1e8',
		line: '#f3f0e6',
		bar: '#c9d8d4',
		slack: '#e8efec',
		'level-1': '#f3e3a8',
		'level-2': '#bcd7b4',
		'level-3': '#b5cfe0',
		'level-4': '#c5bcdc',
		'level-5': '#e3b9b0',
		'level-6': '#cfc6b4'
	}
};

/** The palette that follows from a theme: what is paler is mixed with the paper, keys go round the circle of hues. */
export function paletteOf(theme: Theme | undefined): Palette {
	if (!theme) return usualPalette;
	const known = palettes.get(theme) ?? worked(theme);
	palettes.set(theme, known);
	return known;
}

/** Worked out once for each theme: every page of a month asks for it, at every keystroke. */
const palettes = new WeakMap<Theme, Palette>();

function worked(theme: Theme): Palette {
	const { lines, lettering, rest, accent, key } = theme;
	const [first, second, third, fourth, fifth, sixth] = keyColours(key);
	return {
		lines,
		lettering,
		tones: {
			rest,
			art: paler(rest),
			line: paler(rest),
			bar: accent,
			slack: paler(accent),
			'level-1': first,
			'level-2': second,
			'level-3': third,
			'level-4': fourth,
			'level-5': fifth,
			'level-6': sixth
		}
	};
}

type Six = readonly [Colour, Colour, Colour, Colour, Colour, Colour];

/**
 * Six colours for the states of a key that begin at the hue of one: a sixth of the circle apart in OKLCH and lighter
 * and darker by turns, so that no two are taken for each other, also where colours look alike to someone.
 */
export function keyColours(key: Colour): Six {
	const hue = lchOf(key).h;
	const state = (place: number) =>
		colourAt(place % 2 === 0 ? 0.9 : 0.8, 0.1, hue + (place * 360) / 6);
	return [state(0), state(1), state(2), state(3), state(4), state(5)];
}

/** A colour by lightness (0 to 1), chroma and hue in degrees (OKLCH), as strong as a screen can show it. */
export function colourAt(l: number, c: number, h: number): Colour {
	return formatHex(clampChroma({ mode: 'oklch', l, c, h: ((h % 360) + 360) % 360 }, 'oklch'));
}

const toLch = converter('oklch');

/** Lightness, chroma and hue of a colour; the hue of a grey is 0. */
export function lchOf(colour: Colour): {
	readonly l: number;
	readonly c: number;
	readonly h: number;
} {
	const found = toLch(colour);
	return { l: found?.l ?? 0, c: found?.c ?? 0, h: found?.h ?? 0 };
}

/** How light a tone is, from 0 to 1 (relative luminance of WCAG 2.2). */
export function lightness(colour: Colour): number {
	return wcagLuminance(colour);
}

/** A colour as it is shown where the paper is dark: inks turn light, tints dark, hues stay. */
export function atNight(colour: Colour, use: 'ink' | 'tint'): Colour {
	const { l, c, h } = lchOf(colour);
	return use === 'ink'
		? colourAt(Math.max(0.82, 1.15 - l), Math.min(c, 0.07), h)
		: colourAt(0.35 + (0.95 - l) * 0.7, Math.min(c, 0.07), h);
}

function paler(colour: Colour): Colour {
	return formatHex(interpolate([colour, paperColour], 'oklab')(0.6));
}

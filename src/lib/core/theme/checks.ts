import { differenceCiede2000, wcagContrast } from 'culori/fn';
import { levels } from '../draw';
import { colourAt, keyColours, lchOf, paletteOf, paperColour } from './palette';
import type { Colour, Role, Theme } from './theme';

/** Least contrast of writing with what it stands on (WCAG 2.2, 1.4.3, here a measure of legibility on paper). */
export const leastContrast = 4.5;
/** Closer than this by CIEDE2000, and two colours are taken for each other at a glance (from memory of the trade). */
export const leastDifference = 15;
/** A tint closer to the paper than this is not seen at night (from memory of the trade). */
const leastTint = 3;

const difference = differenceCiede2000();

/** How different two colours look (CIEDE2000). */
export function differenceOf(one: Colour, other: Colour): number {
	return difference(one, other);
}

/** How well one colour is read on another, from 1 to 21. */
export function contrastOf(one: Colour, other: Colour): number {
	return wcagContrast(one, other);
}

/** What a theme's colours do not do, in words with their numbers; nothing where all is well. */
export function themeFaults(theme: Theme): string[] {
	return [
		...inkFaults(theme, 'lines', 'Writing'),
		...inkFaults(theme, 'lettering', 'Lettering')
	].concat(tintFaults(theme), keyFaults(theme));
}

const rounded = (value: number) => (Math.floor(value * 10) / 10).toFixed(1);

function inkFaults(theme: Theme, role: 'lines' | 'lettering', what: string): string[] {
	const grounds: readonly (readonly [string, Colour])[] = [
		['paper', paperColour],
		['a day of rest', theme.rest],
		['the accent', theme.accent],
		...keyColours(theme.key).map((colour, at) => [`colour ${at + 1} of a key`, colour] as const)
	];
	const [worst] = grounds
		.map(([name, colour]) => ({ name, contrast: contrastOf(theme[role], colour) }))
		.sort((a, b) => a.contrast - b.contrast);
	if (!worst || worst.contrast >= leastContrast) return [];
	return [
		`${what} on ${worst.name} has a contrast of ${rounded(worst.contrast)} : 1; it is read from ${leastContrast} : 1 on. Take a darker pen or a paler tint.`
	];
}

function tintFaults(theme: Theme): string[] {
	return (['rest', 'accent'] as const).flatMap((role) => {
		const far = differenceOf(theme[role], paperColour);
		const name = role === 'rest' ? 'The tint of rest days' : 'The accent';
		return far >= leastTint ? [] : [`${name} can hardly be told from the paper: take more of it.`];
	});
}

function keyFaults(theme: Theme): string[] {
	const { tones } = paletteOf(theme);
	const pairs = levels.flatMap((one, at) =>
		levels.slice(at + 1).map((other) => [one, other] as const)
	);
	return pairs.flatMap(([one, other]) => {
		const far = differenceOf(tones[one], tones[other]);
		if (far >= leastDifference) return [];
		const [a, b] = [levels.indexOf(one) + 1, levels.indexOf(other) + 1];
		return [
			`Colours ${a} and ${b} of a key differ by ${rounded(far)}; they are told apart from ${leastDifference} on.`
		];
	});
}

/** The theme with its pens made darker and its tints paler, no more than it takes to be read. */
export function legible(theme: Theme): Theme {
	let better = theme;
	const step = 0.02;
	for (let tries = 0; tries < 50 && themeFaults(better).length > 0; tries++) {
		const shifted = (role: Role, by: number): Colour => {
			const { l, c, h } = lchOf(better[role]);
			return colourAt(Math.min(0.96, Math.max(0.1, l + by)), c, h);
		};
		const dark = (role: 'lines' | 'lettering') =>
			inkFaults(better, role, '').length > 0 ? shifted(role, -step) : better[role];
		const pale = (role: 'rest' | 'accent') =>
			differenceOf(better[role], paperColour) < leastTint
				? shifted(role, -step)
				: contrastOf(better[role], '#000000') < 7
					? shifted(role, step)
					: better[role];
		better = {
			...better,
			lines: dark('lines'),
			lettering: dark('lettering'),
			rest: pale('rest'),
			accent: pale('accent')
		};
	}
	return better;
}

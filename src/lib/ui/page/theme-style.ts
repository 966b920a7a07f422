import { atNight, paletteOf, type Colour, type Theme } from '$lib/core/theme';

const pair = (colour: Colour, use: 'ink' | 'tint') =>
	`light-dark(${colour}, ${atNight(colour, use)})`;

/** The colours of a month as styles of a picture; nothing where it has none of its own. */
export function themeStyle(theme: Theme | undefined): string | undefined {
	if (!theme) return undefined;
	const known = styles.get(theme) ?? styleOf(theme);
	styles.set(theme, known);
	return known;
}

const styles = new WeakMap<Theme, string>();

function styleOf(theme: Theme): string {
	const { lines, lettering } = paletteOf(theme);
	return `--ink: ${pair(lines, 'ink')}; --lettering: ${pair(lettering, 'ink')}; ${tintStyle(theme)}`;
}

/** Only its tints, for what is told of a month in the program's own ink. */
export function tintStyle(theme: Theme | undefined): string | undefined {
	if (!theme) return undefined;
	return Object.entries(paletteOf(theme).tones)
		.map(([tone, colour]) => `--tint-${tone}: ${pair(colour, 'tint')}`)
		.join('; ');
}

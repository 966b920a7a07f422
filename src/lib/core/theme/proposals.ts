import { colourAt } from './palette';
import type { Theme } from './theme';

/** How the hues of a theme lie on the circle, in degrees from the first. (Harmonies: any textbook on colour.) */
const harmonies = [
	{ name: 'one hue', lettering: 0, accent: 0 },
	{ name: 'neighbours', lettering: 35, accent: -35 },
	{ name: 'opposites', lettering: 0, accent: 180 },
	{ name: 'thirds', lettering: 120, accent: 240 }
] as const;

/** A theme, and by what rule its colours go together. */
export interface ProposedTheme {
	readonly name: string;
	readonly theme: Theme;
}

/** Themes that begin at a hue (in degrees of OKLCH): dark enough to write with, pale enough to be written on. */
export function proposedThemes(hue: number): ProposedTheme[] {
	return harmonies.map(({ name, lettering, accent }) => ({
		name,
		theme: {
			lines: colourAt(0.28, 0.04, hue),
			lettering: colourAt(0.38, 0.11, hue + lettering),
			rest: colourAt(0.94, 0.03, hue),
			accent: colourAt(0.82, 0.09, hue + accent),
			key: colourAt(0.9, 0.1, hue + accent)
		}
	}));
}

/** Hues of OKLCH to begin at, in degrees, as people call them. */
export const hues = [
	{ hue: 0, name: 'rose' },
	{ hue: 30, name: 'brick' },
	{ hue: 60, name: 'orange' },
	{ hue: 90, name: 'gold' },
	{ hue: 120, name: 'lime' },
	{ hue: 150, name: 'green' },
	{ hue: 180, name: 'sea green' },
	{ hue: 210, name: 'teal' },
	{ hue: 240, name: 'sky' },
	{ hue: 270, name: 'blue' },
	{ hue: 300, name: 'violet' },
	{ hue: 330, name: 'plum' }
] as const;

/** The hue a month begins at where nobody chose one: they go round the circle with the year, from the winter's blue. */
export function hueOfMonth(month: number): number {
	return (240 + (month - 1) * 30) % 360;
}

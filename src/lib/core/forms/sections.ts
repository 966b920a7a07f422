import { frame, line, text, type Mark } from '../draw';
import type { Rect } from '../paper';
import type { Setting } from './form';

/** Squares that a section beside a grid needs across, and one below it down. */
export const leastSection = { w: 7, h: 6 };
const most = 3;
const gap = 1;

/** Names of the sections that stand beside or below a calendar, three at most. */
export function sectionNames({ content }: Setting): readonly string[] {
	return (content.parts ?? []).slice(0, most);
}

/** Named sections with lines to write on, one below the other or side by side, equal and a square apart. */
export function sectionMarks(setting: Setting, place: Rect, run: 'down' | 'across'): Mark[] {
	const names = sectionNames(setting);
	const whole = run === 'down' ? place.h : place.w;
	const each = Math.floor((whole - (names.length - 1) * gap) / names.length);
	return names.flatMap((name, index) => {
		const at = index * (each + gap);
		const section =
			run === 'down'
				? { ...place, y: place.y + at, h: each }
				: { ...place, x: place.x + at, w: each };
		return oneSection(name, section);
	});
}

function oneSection(name: string, { x, y, w, h }: Rect): Mark[] {
	return [
		text(name, { x, y, w, h: 1 }, 'hand', 'start'),
		...frame({ x, y: y + 1, w, h: h - 1 }),
		...Array.from({ length: Math.max(0, h - 2) }, (_, row) =>
			line(x, y + 2 + row, x + w, y + 2 + row)
		)
	];
}

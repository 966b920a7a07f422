import { frame, line, type Mark } from '../../draw';
import { cornerCut, outlineIn, type Rect } from '../../paper';
import { choiceRule } from './rule';

const options = [
	['rectangle', 'a rectangle'],
	['octagon', 'an octagon'],
	['circle', 'a circle'],
	['arch', 'an arch'],
	['none', 'nothing']
] as const;

export type Framing = (typeof options)[number][0];

/** How something is framed; each form has its usual way. */
export function framedAs(usual: Framing) {
	return choiceRule({ name: 'outline', label: 'Framed by', options, usual });
}

/** A circle's radius, or an arch's, in whole squares, so that the compass stands on a dot. */
function radiusIn({ w, h }: Rect, framing: 'circle' | 'arch'): number {
	return framing === 'circle' ? Math.floor(Math.min(w, h) / 2) : Math.min(Math.floor(w / 2), h);
}

/** A frame in a rectangle. A compass stands on a dot: of an odd width one square stays free at the right. */
export function framed(rect: Rect, framing: Framing): Mark[] {
	const { x, y, w, h } = rect;
	// In a single square there is no room for corners or a compass.
	if (Math.min(w, h) < 2 && framing !== 'none') return frame(rect);
	switch (framing) {
		case 'none':
			return [];
		case 'rectangle':
			return frame(rect);
		case 'octagon': {
			const corners = outlineIn(rect, 'octagon');
			return corners.map((from, index) => {
				const to = corners[(index + 1) % corners.length] ?? from;
				return line(from.x, from.y, to.x, to.y);
			});
		}
		case 'circle': {
			const radius = radiusIn(rect, 'circle');
			const [left, top] = [Math.floor((w - 2 * radius) / 2), Math.floor((h - 2 * radius) / 2)];
			return [{ kind: 'arc', x: x + left + radius, y: y + top + radius, radius, part: 'whole' }];
		}
		case 'arch': {
			const radius = radiusIn(rect, 'arch');
			const left = x + Math.floor((w - 2 * radius) / 2);
			const [right, foot] = [left + 2 * radius, y + h];
			return [
				{ kind: 'arc', x: left + radius, y: y + radius, radius, part: 'upper' },
				line(left, y + radius, left, foot),
				line(right, y + radius, right, foot),
				line(left, foot, right, foot)
			];
		}
	}
}

/** What of a framed rectangle lies wholly inside the frame, one square off it: for words. */
export function insideFrame(rect: Rect, framing: Framing): Rect {
	const { x, y, w, h } = rect;
	switch (framing) {
		case 'none':
			return rect;
		case 'rectangle':
			return inset(rect, 1, 1);
		case 'octagon': {
			const off = Math.ceil(cornerCut(rect) / 2) + 1;
			return inset(rect, off, off);
		}
		case 'circle': {
			// The square in a circle has sides of radius × √2.
			const half = Math.floor(radiusIn(rect, 'circle') * Math.SQRT1_2);
			return {
				x: x + Math.floor((w - 2 * half) / 2),
				y: y + Math.floor((h - 2 * half) / 2),
				w: 2 * half,
				h: 2 * half
			};
		}
		case 'arch': {
			// A point 4/5 of the radius to the side lies 3/5 of it above the middle.
			const radius = radiusIn(rect, 'arch');
			const half = Math.floor(radius * 0.8);
			const top = Math.ceil(radius * 0.4) + 1;
			const left = x + Math.floor((w - 2 * radius) / 2) + radius - half;
			return { x: left, y: y + top, w: 2 * half, h: Math.max(0, h - top - 1) };
		}
	}
}

function inset({ x, y, w, h }: Rect, across: number, down: number): Rect {
	return {
		x: x + across,
		y: y + down,
		w: Math.max(0, w - 2 * across),
		h: Math.max(0, h - 2 * down)
	};
}

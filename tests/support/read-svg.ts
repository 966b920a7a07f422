import { DOMParser } from '@xmldom/xmldom';
import { SVGPathData } from 'svg-pathdata';

/** An SVG as a program that knows nothing of its maker reads it; lengths in mm. */
export interface ReadSvg {
	readonly widthMm: number;
	readonly heightMm: number;
	readonly strokes: readonly {
		readonly x1: number;
		readonly y1: number;
		readonly x2: number;
		readonly y2: number;
	}[];
	readonly dots: readonly { readonly x: number; readonly y: number }[];
	readonly texts: readonly string[];
	readonly fonts: number;
}

/** Reads an SVG back with an XML parser and a path parser of their own. */
export function readSvg(source: string): ReadSvg {
	const document = new DOMParser().parseFromString(source, 'image/svg+xml');
	const root = document.documentElement;
	if (!root) throw new Error('no SVG');
	const mm = (name: string) => {
		const value = /^([\d.]+)mm$/.exec(root.getAttribute(name) ?? '')?.[1];
		if (value === undefined) throw new Error(`${name} is not in mm`);
		return Number(value);
	};
	const [, , boxWidth, boxHeight] = (root.getAttribute('viewBox') ?? '').split(' ').map(Number);
	if (boxWidth !== mm('width') || boxHeight !== mm('height')) throw new Error('units are not mm');
	const strokes: { x1: number; y1: number; x2: number; y2: number }[] = [];
	const dots: { x: number; y: number }[] = [];
	for (const path of root.getElementsByTagName('path')) {
		let [x, y, startX, startY] = [0, 0, 0, 0];
		const to = (x2: number, y2: number) => {
			if (x === x2 && y === y2) dots.push({ x, y });
			else strokes.push({ x1: x, y1: y, x2, y2 });
			[x, y] = [x2, y2];
		};
		for (const command of new SVGPathData(path.getAttribute('d') ?? '').toAbs().commands)
			if (command.type === SVGPathData.MOVE_TO) {
				[x, y] = [command.x, command.y];
				[startX, startY] = [x, y];
			} else if (command.type === SVGPathData.LINE_TO) to(command.x, command.y);
			else if (command.type === SVGPathData.HORIZ_LINE_TO) to(command.x, y);
			else if (command.type === SVGPathData.CLOSE_PATH) to(startX, startY);
			else throw new Error(`unread path command ${command.type}`);
	}
	const texts = [...root.getElementsByTagName('text')].map((text) => text.textContent ?? '');
	const style = root.getElementsByTagName('style')[0]?.textContent ?? '';
	return {
		widthMm: mm('width'),
		heightMm: mm('height'),
		strokes,
		dots,
		texts,
		fonts: style.split('@font-face').length - 1
	};
}
